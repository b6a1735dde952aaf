/** Questions that many ask at the same time, asked once for all of them. */

interface Asking<Answer> {
  /** Under way: whoever comes now may not share it, it may have read what was there before they came. */
  running: Promise<Answer>;
  /** The one after it, for everybody who came meanwhile. */
  next?: Promise<Answer>;
}

/** Shares answers to equal questions; each answer was begun after everybody who gets it had asked. */
export class AskedTogether<Answer> {
  private readonly askings = new Map<string, Asking<Answer>>();

  ask(key: string, question: () => Promise<Answer>): Promise<Answer> {
    const asking = this.askings.get(key);
    if (!asking) return this.begin(key, question);
    asking.next ??= asking.running.catch(() => undefined).then(() => this.begin(key, question));
    return asking.next;
  }

  private begin(key: string, question: () => Promise<Answer>): Promise<Answer> {
    const running = question();
    const asking: Asking<Answer> = { running };
    this.askings.set(key, asking);
    const end = () => {
      if (this.askings.get(key) === asking && !asking.next) this.askings.delete(key);
    };
    running.then(end, end);
    return running;
  }
}
