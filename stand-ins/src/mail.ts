/**
 * A mail server that delivers nothing: it takes what it is given and shows it on a page, for trying invitations and ways back.
 * Options: --port N (SMTP), --inbox N (the page). On loopback. Ends with whoever started it.
 */
import { createServer } from "node:http";
import { buffer } from "node:stream/consumers";
import { parseArgs } from "node:util";
import PostalMime from "postal-mime";
import { SMTPServer } from "smtp-server";
import { endWithStarter } from "./starter";

const { values } = parseArgs({ options: { port: { type: "string", default: "4104" }, inbox: { type: "string", default: "4105" } } });

interface Taken {
  to: string;
  subject: string;
  text: string;
  at: string;
}
const MOST_KEPT = 500;
const inbox: Taken[] = [];

const mail = new SMTPServer({
  authOptional: true,
  disabledCommands: ["STARTTLS"],
  size: 1_000_000,
  onData(stream, session, done) {
    buffer(stream)
      .then((raw) => PostalMime.parse(raw))
      .then(({ subject = "", text = "" }) => {
        const to = session.envelope.rcptTo.map(({ address }) => address).join(", ");
        inbox.unshift({ to, subject, text, at: new Date().toISOString() });
        inbox.length = Math.min(inbox.length, MOST_KEPT);
        done();
      })
      .catch((error: Error) => done(error));
  },
});

const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
const linked = (text: string) => escaped(text).replace(/https?:\/\/[^\s<]+/g, (address) => `<a href="${address}">${address}</a>`);
const page = () => `<!doctype html><html lang="en"><meta charset="utf-8"><title>Mail server stand-in</title>
<style>body{font:18px/1.5 system-ui;margin:2rem;background:#F6F2E9;color:#1D2B2A;max-width:46rem}article{border-top:1px solid #D9D2C3;padding:1rem 0}p{white-space:pre-wrap}</style>
<h1>E-mails taken: ${inbox.length}</h1><p>This server delivers nothing. It stands in for a real one.</p>
${inbox.map(({ to, subject, text, at }) => `<article><h2>${escaped(subject)}</h2><small>To ${escaped(to)}, ${at}</small><p>${linked(text)}</p></article>`).join("")}</html>`;

const server = createServer((request, response) => {
  if (request.url === "/mails")
    return response.writeHead(200, { "content-type": "application/json" }).end(JSON.stringify({ mails: inbox }));
  if (request.url === "/") return response.writeHead(200, { "content-type": "text/html; charset=utf-8" }).end(page());
  return response.writeHead(404).end();
});
const fail = (error: NodeJS.ErrnoException) => {
  process.stderr.write(`The mail server stand-in could not start: ${error.code ?? error.message}\n`);
  process.exit(1);
};
mail.on("error", (error: NodeJS.ErrnoException) => (error.code === "EADDRINUSE" ? fail(error) : undefined));
server.on("error", fail);
mail.listen(Number(values.port), "127.0.0.1");
server.listen(Number(values.inbox), "127.0.0.1");
endWithStarter();
