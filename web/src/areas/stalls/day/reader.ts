/** What a card reader says of a payment. */
export type ReaderAnswer = 'accepted' | 'declined';

/** The reader didn’t answer: whether it charged has to be looked up. */
export class ReaderSilent extends Error {}

/**
 * A card reader. A payment has an id of its own, so that it is charged once, however often it is asked for.
 */
export interface CardReader {
  /** @throws ReaderSilent if no answer came */
  pay(id: string, minor: number): Promise<ReaderAnswer>;
  /** What became of a payment; nothing where the reader never charged it. @throws ReaderSilent likewise */
  lookUp(id: string): Promise<ReaderAnswer | undefined>;
}

/** How the simulated reader takes the next payment. */
export type Behaviour = 'accepts' | 'declines' | 'times out' | 'loses its line' | 'is away';

export const BEHAVIOURS: Behaviour[] = ['accepts', 'declines', 'times out', 'loses its line', 'is away'];

interface Book {
  behaviour: Behaviour;
  payments: Record<string, { minor: number; answer: ReaderAnswer; charges: number }>;
}

const BOOK = 'mardun.simulated-reader';

/** Has a memory of its own beside the page, as a device has. */
export class SimulatedReader implements CardReader {
  constructor(
    private readonly store: Pick<Storage, 'getItem' | 'setItem'> = localStorage,
    private readonly wait = (ms: number) => new Promise((done) => setTimeout(done, ms)),
  ) {}

  private book(): Book {
    const kept = this.store.getItem(BOOK);
    return kept ? (JSON.parse(kept) as Book) : { behaviour: 'accepts', payments: {} };
  }

  private keep(book: Book) {
    this.store.setItem(BOOK, JSON.stringify(book));
  }

  get behaviour() {
    return this.book().behaviour;
  }

  behave(behaviour: Behaviour) {
    this.keep({ ...this.book(), behaviour });
  }

  /** How often a payment was charged: once or never. */
  charges(id: string) {
    return this.book().payments[id]?.charges ?? 0;
  }

  async pay(id: string, minor: number): Promise<ReaderAnswer> {
    await this.wait(700);
    const book = this.book();
    if (book.behaviour === 'is away' || book.behaviour === 'times out') {
      await this.wait(2_500);
      throw new ReaderSilent();
    }
    const before = book.payments[id];
    if (before?.answer !== 'accepted') {
      const answer = book.behaviour === 'declines' ? 'declined' : 'accepted';
      const charges = (before?.charges ?? 0) + (answer === 'accepted' ? 1 : 0);
      this.keep({ ...book, payments: { ...book.payments, [id]: { minor, answer, charges } } });
    }
    if (book.behaviour === 'loses its line') throw new ReaderSilent();
    return this.book().payments[id]?.answer ?? 'declined';
  }

  async lookUp(id: string): Promise<ReaderAnswer | undefined> {
    await this.wait(400);
    const book = this.book();
    if (book.behaviour === 'is away') throw new ReaderSilent();
    return book.payments[id]?.answer;
  }
}
