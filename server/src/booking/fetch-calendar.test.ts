import { createServer, type RequestListener, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { isOutside } from "../http/outside";
import { fetchCalendar, insideFrom } from "./fetch-calendar";

const servers: Server[] = [];
afterEach(() => servers.splice(0).forEach((server) => server.close()));
/** @returns `127.0.0.1:port` */
async function serving(answer: RequestListener): Promise<string> {
  const server = createServer(answer);
  servers.push(server);
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  return `127.0.0.1:${(server.address() as AddressInfo).port}`;
}
const allowed = (...hosts: string[]) => ({ inside: new Set(hosts) });

describe("which addresses are outside", () => {
  it.each(["93.184.215.14", "2606:2800:21f:cb07::1", "8.8.8.8"])("%s", (address) => expect(isOutside(address)).toBe(true));
  it.each([
    ...["127.0.0.1", "127.8.9.1", "10.0.0.5", "172.16.0.1", "172.31.255.255", "192.168.1.1", "169.254.169.254", "100.64.0.1", "0.0.0.0"],
    ...["224.0.0.1", "255.255.255.255", "198.18.0.1", "192.0.2.1", "240.0.0.1"],
    ...[
      "::1",
      "::",
      "fe80::1",
      "fc00::1",
      "fd12:3456::1",
      "ff02::1",
      "::ffff:127.0.0.1",
      "::ffff:10.0.0.1",
      "64:ff9b::7f00:1",
      "2002:7f00:1::",
      "nothing",
    ],
  ])("not %s", (address) => expect(isOutside(address)).toBe(false));
});

it.each(["http://127.0.0.1/", "http://localhost:80/", "http://[::1]/", "http://2130706433/", "http://0x7f.1/", "http://10.1.2.3/c.ics"])(
  "%s is not asked",
  async (address) => {
    await expect(fetchCalendar(address, allowed())).rejects.toThrow("inside the own network");
  },
);

it("one inside is read when it is allowed, with its port", async () => {
  const host = await serving((_, response) => response.end("BEGIN:VCALENDAR"));
  expect(await fetchCalendar(`http://${host}/a.ics`, allowed(host))).toBe("BEGIN:VCALENDAR");
  await expect(fetchCalendar(`http://${host}/a.ics`, allowed(host.split(":")[0]!))).rejects.toThrow("inside the own network");
});

it("follows a few redirects, each looked at again", async () => {
  const host = await serving((request, response) => {
    const next: Record<string, string> = { "/a": "/b", "/b": "http://127.0.0.2/", "/round": "/round", "/file": "file:///etc/hosts" };
    const location = next[request.url!];
    if (location) return response.writeHead(302, { location }).end();
    return response.end("there");
  });
  await expect(fetchCalendar(`http://${host}/a`, allowed(host))).rejects.toThrow("inside the own network");
  await expect(fetchCalendar(`http://${host}/round`, allowed(host))).rejects.toThrow("without end");
  await expect(fetchCalendar(`http://${host}/file`, allowed(host))).rejects.toThrow("must begin with https:");
});

it.each([404, 500, 401, 204])("an answer of %d is said", async (status) => {
  const host = await serving((_, response) => response.writeHead(status).end());
  await expect(fetchCalendar(`http://${host}/`, allowed(host))).rejects.toThrow(`answered ${status}`);
});

it("what is too large is given up, on the byte", async () => {
  const host = await serving((request, response) => response.end("x".repeat(Number(request.url!.slice(1)))));
  const limits = { ...allowed(host), mostBytes: 1024 * 1024 };
  expect(await fetchCalendar(`http://${host}/${1024 * 1024}`, limits)).toHaveLength(1024 * 1024);
  await expect(fetchCalendar(`http://${host}/${1024 * 1024 + 1}`, limits)).rejects.toThrow("larger than 1 MB");
});

it("who does not answer, or never ends, is given up", async () => {
  const silent = await serving(() => undefined);
  await expect(fetchCalendar(`http://${silent}/`, { ...allowed(silent), patienceMs: 60 })).rejects.toThrow("did not answer in time");
  const endless = await serving((_, response) => void response.write("BEGIN"));
  await expect(fetchCalendar(`http://${endless}/`, { ...allowed(endless), patienceMs: 60 })).rejects.toThrow("did not answer in time");
});

it("nobody there is said", async () => {
  await expect(fetchCalendar("http://127.0.0.1:9/", allowed("127.0.0.1:9"))).rejects.toThrow("could not be reached");
});

it("the setting names machines, parted by commas", () => {
  expect([...insideFrom(" calendar.works:80, 127.0.0.1:4103,")]).toEqual(["calendar.works:80", "127.0.0.1:4103"]);
  expect(insideFrom(undefined).size).toBe(0);
});
