import { asksAgain, Problem } from './problem';

/** What was finished on this device and the server has not got yet, in its order. */
export class Outbox<T> {
  private sending = false;
  private readonly listeners = new Set<() => void>();

  /**
   * @param key under which it is kept on this device
   * @param most that is kept; the oldest give way
   * @param same whether one thing takes the place of another
   */
  constructor(
    private readonly key: string,
    private readonly most: number,
    private readonly same: (one: T, other: T) => boolean = () => false,
  ) {}

  /** What waits as it is kept: the same text as long as nothing has changed. */
  readonly text = (): string => localStorage.getItem(this.key) ?? '[]';

  /** Tells a listener of every change, until what is returned is called. */
  readonly listen = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
    };
  };

  /** What waits, the oldest first. */
  waiting(): T[] {
    try {
      const kept = JSON.parse(this.text()) as unknown;
      return Array.isArray(kept) ? (kept as T[]) : [];
    } catch {
      return [];
    }
  }

  /** Lays something by until it can be sent. */
  layBy(item: T): void {
    this.keep([...this.waiting().filter((one) => !this.same(one, item)), item]);
  }

  /** Forgets what need not be sent any more. */
  forget(which: (one: T) => boolean): void {
    this.keep(this.waiting().filter((one) => !which(one)));
  }

  /**
   * Sends what waits, one after the other, and stops at the first that finds no signal.
   *
   * @param which of it, everything where left out
   * @param refused what is kept in place of something that the server refuses for good; it is dropped where left out
   */
  async send(
    send: (item: T) => Promise<unknown>,
    which: (item: T) => boolean = () => true,
    refused: (item: T, why: string) => T[] = () => [],
  ): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      for (const item of this.waiting().filter(which)) {
        let instead: T[] = [];
        try {
          await send(item);
        } catch (error) {
          if (!(error instanceof Problem) || asksAgain(error.status)) return;
          instead = refused(item, error.errors.map((fault) => fault.message).join(' ') || error.message);
        }
        const sent = this.waiting().findIndex((one) => JSON.stringify(one) === JSON.stringify(item));
        this.keep(this.waiting().flatMap((one, i) => (i === sent ? instead : [one])));
      }
    } finally {
      this.sending = false;
    }
  }

  private keep(items: T[]): void {
    localStorage.setItem(this.key, JSON.stringify(items.slice(-this.most)));
    this.listeners.forEach((listener) => {
      listener();
    });
  }
}
