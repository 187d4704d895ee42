import type { Entry } from './reckon';

/** A payment by card that is under way. */
export interface Payment {
  fairId: number;
  sale: Entry;
  /** The sale that it takes the place of; absent for a new one. */
  replaces: string | undefined;
}

const PENDING = 'mardun.payment';

/** Kept before the reader is asked, so that nobody is charged without a sale, whatever happens to the page. */
export const keepPending = (payment: Payment) => localStorage.setItem(PENDING, JSON.stringify(payment));

export const forgetPending = () => localStorage.removeItem(PENDING);

/** A payment that was under way when the page was left. */
export function pendingPayment(fairId: number): Payment | undefined {
  const kept = localStorage.getItem(PENDING);
  const payment = kept ? (JSON.parse(kept) as Payment) : undefined;
  return payment?.fairId === fairId ? payment : undefined;
}
