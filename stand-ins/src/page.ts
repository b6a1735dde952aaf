/** What stand-ins answer with: JSON, and a page that shows what they took. */
import type { ServerResponse } from "node:http";

export function answer(response: ServerResponse, status: number, body: object): void {
  response.writeHead(status, { "content-type": "application/json" }).end(JSON.stringify(body));
}

export const showPage = (response: ServerResponse, html: string): void =>
  void response.writeHead(200, { "content-type": "text/html; charset=utf-8" }).end(html);

export const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

interface TablePage {
  title: string;
  heading: string;
  about: string;
  head: readonly string[];
  rows: readonly (readonly string[])[];
}

export function tablePage({ title, heading, about, head, rows }: TablePage): string {
  const line = (tag: "th" | "td", cells: readonly string[]) =>
    `<tr>${cells.map((cell) => `<${tag}>${escaped(cell)}</${tag}>`).join("")}</tr>`;
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>${escaped(title)}</title>
<style>body{font:18px/1.5 system-ui;margin:2rem;background:#F6F2E9;color:#1D2B2A}td,th{text-align:left;padding:.4rem 1rem .4rem 0;border-bottom:1px solid #D9D2C3}</style>
<h1>${escaped(heading)}</h1><p>${escaped(about)}</p>
<table>${line("th", head)}${rows.map((row) => line("td", row)).join("")}</table></html>`;
}
