/**
 * A machine to follow docs/operating.md on, in a folder: its /etc, /opt and /var are in there, its ports are free ones, and what a bare
 * Debian would do and this machine cannot (packages, users, services, certificates) is done by hand: commands of that name only note
 * what they were asked for, and here it is done.
 */
import { execFile, execFileSync, spawn, type ChildProcess } from "node:child_process";
import { chmodSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { createServer, type AddressInfo } from "node:net";
import { tmpdir, userInfo } from "node:os";
import path from "node:path";
import { promisify } from "node:util";

const repository = path.resolve(import.meta.dirname, "..");
const SITE = "hands.example";
/** Ports the page and the files of deploy/ name. */
const PORTS = ["3306", "4100", "4101", "4199", "443", "80"] as const;
type Port = (typeof PORTS)[number];

/** Commands that only note what they were asked for. */
const BY_HAND = ["apt-get", "systemctl", "adduser", "certbot", "journalctl"];

async function freePorts(count: number): Promise<number[]> {
  const probes = await Promise.all(
    Array.from(
      { length: count },
      () =>
        new Promise<ReturnType<typeof createServer>>((resolve) => {
          const probe = createServer();
          probe.listen(0, "127.0.0.1", () => resolve(probe));
        }),
    ),
  );
  const ports = probes.map((probe) => (probe.address() as AddressInfo).port);
  await Promise.all(probes.map((probe) => new Promise((done) => probe.close(done))));
  return ports;
}

/** The lines of the code blocks between two headings of the page. */
export function linesOf(page: string, heading: string): string[] {
  const part = page.split(`\n## ${heading}\n`)[1]!.split("\n## ")[0]!;
  const blocks = [...part.matchAll(/```\n([\s\S]*?)```/g)];
  return blocks.flatMap(([, block]) => block!.trim().split("\n"));
}

export class BareMachine {
  private readonly running = new Map<string, { process: ChildProcess; said: string }>();
  private readonly asked: string;
  private cwd: string;

  private constructor(
    readonly folder: string,
    readonly ports: Readonly<Record<Port, number>>,
  ) {
    this.asked = path.join(folder, "asked");
    this.cwd = folder;
  }

  static async make(isWhole: boolean): Promise<BareMachine> {
    const folder = mkdtempSync(path.join(tmpdir(), "kind-grip-machine-"));
    const free = await freePorts(PORTS.length);
    const machine = new BareMachine(folder, Object.fromEntries(PORTS.map((port, i) => [port, free[i]])) as Record<Port, number>);
    for (const each of [
      "bin",
      "opt",
      "var/lib",
      "var/backups/kind-grip",
      "etc/systemd/system",
      "etc/nginx/sites-available",
      "etc/nginx/sites-enabled",
      "nginx",
    ])
      mkdirSync(path.join(folder, each), { recursive: true });
    for (const name of BY_HAND) machine.command(name, `echo "${name} $*" >> "${machine.asked}"`);
    const into = path.join(folder, "opt/kind-grip");
    machine.command("git", isWhole ? `exec /usr/bin/git clone --quiet "${repository}" "${into}"` : `exec ln -s "${repository}" "${into}"`);
    // There is no group of that name here.
    machine.command("install", `exec /usr/bin/install -m "$2" "$5" "$6"`);
    // As root of Debian's MariaDB comes in without a password.
    machine.command("mariadb", `exec /usr/bin/mariadb --no-defaults --socket="${folder}/mariadb/socket" "$@"`);
    return machine;
  }

  private command(name: string, does: string): void {
    const file = path.join(this.folder, "bin", name);
    writeFileSync(file, `#!/bin/sh\n${does}\n`);
    chmodSync(file, 0o755);
  }

  /** Paths and ports of the page as they are on this machine. */
  here(text: string): string {
    const moved = text.replace(/(^|[\s"'=(:])\/(etc|opt|var)\//g, `$1${this.folder}/$2/`);
    return PORTS.reduce(
      (all, port) => all.replace(new RegExp(`(listen |[:@=]|--port |kind-grip@|PORT=)${port}\\b`, "g"), `$1${this.ports[port]}`),
      moved,
    );
  }

  /** Does a line of the page. @throws Error with what it said where it failed */
  async line(text: string): Promise<string> {
    const env = { ...process.env, PATH: `${path.join(this.folder, "bin")}:${process.env.PATH}` };
    rmSync(this.asked, { force: true });
    const { stdout } = await promisify(execFile)("bash", ["-euc", this.here(text)], { cwd: this.cwd, env });
    this.moveFiles();
    for (const each of existsSync(this.asked) ? readFileSync(this.asked, "utf8").trim().split("\n") : []) await this.byHand(each);
    if (/&& cd \/opt\/kind-grip/.test(text)) this.cwd = path.join(this.folder, "opt/kind-grip");
    return stdout;
  }

  /** What was copied from deploy/ names paths and ports too. */
  private moveFiles(): void {
    for (const folder of ["etc", "etc/systemd/system", "etc/nginx/sites-available"])
      for (const entry of readdirSync(path.join(this.folder, folder), { withFileTypes: true })) {
        const file = path.join(this.folder, folder, entry.name);
        if (entry.isFile()) writeFileSync(file, this.here(readFileSync(file, "utf8")));
      }
  }

  private async byHand(asked: string): Promise<void> {
    const [command, ...words] = asked.split(" ");
    const services = words.filter((word) => /^(kind-grip|mariadb)/.test(word));
    if (command === "apt-get") for (const needed of ["mariadbd", "nginx", "openssl"]) execFileSync("sh", ["-c", `command -v ${needed}`]);
    else if (command === "certbot") this.certify();
    else if (command === "systemctl" && words[0] === "disable") for (const each of services) await this.stopOne(each);
    else if (command === "systemctl" && words[0] === "enable") for (const each of services) await this.startOne(each);
    else if (command === "systemctl" && words[1] === "nginx") await this.startNginx();
    else if (!["adduser", "journalctl"].includes(command!)) throw new Error(`nobody here does this by hand: ${asked}`);
  }

  /** By itself: nobody out there vouches for a name that is not there. */
  private certify(): void {
    const live = path.join(this.folder, "etc/letsencrypt/live", SITE);
    mkdirSync(live, { recursive: true });
    const [key, certificate] = [path.join(live, "privkey.pem"), path.join(live, "fullchain.pem")];
    execFileSync(
      "openssl",
      [
        "req",
        "-x509",
        "-newkey",
        "ec",
        "-pkeyopt",
        "ec_paramgen_curve:prime256v1",
        "-nodes",
        "-days",
        "2",
        "-subj",
        `/CN=${SITE}`,
        "-keyout",
        key,
        "-out",
        certificate,
      ],
      { stdio: "ignore" },
    );
  }

  /** What the unit says, by hand. */
  private async startOne(service: string): Promise<void> {
    if (service === "mariadb") return this.startMariadb();
    const [name, instance = ""] = service.split("@");
    const system = path.join(this.folder, "etc/systemd/system");
    const file = path.join(system, instance ? `${name}@.service` : `${name}.service`);
    const unit = readFileSync(file, "utf8").replaceAll("%i", instance);
    const all = (key: string) => [...unit.matchAll(new RegExp(`^${key}=(.*)$`, "gm"))].map(([, value]) => value!);
    const env: NodeJS.ProcessEnv = { ...process.env, PATH: `${path.join(this.folder, "bin")}:${process.env.PATH}` };
    const settings = readFileSync(all("EnvironmentFile")[0]!, "utf8").split("\n");
    for (const setting of [...settings, ...all("Environment")]) {
      const [, key, , value] = /^(\w+)=("?)(.*)\2$/.exec(setting) ?? [];
      if (key) env[key] = value;
    }
    const [program, ...words] = all("ExecStart")[0]!.split(" ");
    await this.start(service, program!, words, env, /Ctrl-C stops it/);
  }

  private async start(service: string, program: string, words: string[], env: NodeJS.ProcessEnv, ready: RegExp): Promise<void> {
    const child = spawn(program, words, { cwd: this.cwd, env, stdio: ["ignore", "pipe", "pipe"] });
    const one = { process: child, said: "" };
    this.running.set(service, one);
    await new Promise<void>((resolve, reject) => {
      const hear = (part: Buffer) => {
        one.said += part.toString();
        if (ready.test(one.said)) resolve();
      };
      child.stdout.on("data", hear);
      child.stderr.on("data", hear);
      child.once("exit", (status) => reject(new Error(`${service} ended with ${status}:\n${one.said}`)));
    });
  }

  /** Debian's service, as its package leaves it: root comes in by the socket. */
  private async startMariadb(): Promise<void> {
    const data = path.join(this.folder, "mariadb");
    const user = userInfo().username;
    mkdirSync(`${data}/working`, { recursive: true });
    const own = ["--no-defaults", `--datadir=${data}/tables`, `--tmpdir=${data}/working`, `--user=${user}`];
    execFileSync(
      "mariadb-install-db",
      [...own, "--auth-root-authentication-method=socket", `--auth-root-socket-user=${user}`, "--skip-test-db"],
      { stdio: "ignore" },
    );
    const listens = [`--socket=${data}/socket`, `--port=${this.ports["3306"]}`, "--bind-address=127.0.0.1", "--skip-log-bin"];
    const quick = ["--innodb-flush-log-at-trx-commit=0", "--innodb-buffer-pool-size=32M"];
    await this.start("mariadb", "mariadbd", [...own, ...listens, ...quick], process.env, /ready for connections/);
  }

  private async startNginx(): Promise<void> {
    await this.stopOne("nginx");
    const site = path.join(this.folder, "etc/nginx/sites-available/kind-grip");
    const own = path.join(this.folder, "nginx");
    writeFileSync(path.join(own, "site"), readFileSync(site, "utf8").replace(/listen (\d+)/g, "listen 127.0.0.1:$1"));
    const kept = ["client_body", "proxy", "fastcgi", "uwsgi", "scgi"].map((name) => `${name}_temp_path ${own}/${name};`).join(" ");
    writeFileSync(
      path.join(own, "nginx.conf"),
      `daemon off; worker_processes 1; pid ${own}/pid; error_log stderr notice;\nevents {}\nhttp { access_log off; ${kept} include ${own}/site; }\n`,
    );
    await this.start("nginx", "nginx", ["-c", path.join(own, "nginx.conf"), "-p", own], process.env, /start worker process /);
  }

  /** What a service said: its journal. */
  journal(service: string): string {
    return this.running.get(service)?.said ?? "";
  }

  /** @param signal KILL: without a word */
  async stopOne(service: string, signal: NodeJS.Signals = "SIGTERM"): Promise<void> {
    const one = this.running.get(service);
    if (!one) return;
    this.running.delete(service);
    one.process.removeAllListeners("exit");
    const over = new Promise((resolve) => one.process.once("exit", resolve));
    one.process.kill(signal);
    await over;
  }

  /** Adds a line to the servers' settings, as the page says it is done with an editor. */
  set(setting: string): void {
    const file = path.join(this.folder, "etc/kind-grip.env");
    writeFileSync(file, `${readFileSync(file, "utf8")}${setting}\n`);
  }

  async end(): Promise<void> {
    for (const service of [...this.running.keys()].reverse()) await this.stopOne(service);
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** A stand-in of this repository by itself. @returns stops it */
export function startStandIn(name: "mail" | "push", ...words: string[]): () => void {
  const child = spawn(process.execPath, ["--import", "tsx", `stand-ins/src/${name}.ts`, ...words], {
    cwd: repository,
    stdio: ["ignore", "inherit", "inherit", "ipc"],
    env: { ...process.env, STARTER_PID: String(process.pid) },
  });
  return () => void child.kill();
}

export { freePorts, SITE };
