import type { Schemas } from '../../../api/client';
import type { Entry, WorkView } from './kept';

export type Turn = Schemas['WorkTurn'];
export type Part = Schemas['WorkPart'];

/** How many bags of a part these entries count. */
export const counted = (part: Part, entries: Entry[]) =>
  entries
    .filter((entry) => entry.kind === 'WORKED' && entry.line === part.line && entry.step === part.step)
    .reduce((sum, entry) => sum + entry.bags, 0);

const isOf = (part: Part) => (other: Part) => other.line === part.line && other.step === part.step;

/** Whether two turns are the same operation, one of them perhaps for fewer lines by now. */
export const isSame = (turn: Turn, other: Turn) => turn.parts.some((part) => other.parts.some(isOf(part)));

/** A turn as it is now: what the server knows of its lines, and what it hasn't heard yet. */
export function now(turn: Turn, view: WorkView, unsent: Entry[]): Turn {
  const known = view.turns.flatMap((one) => one.parts);
  return {
    ...turn,
    parts: turn.parts.map((part) => {
      const its = known.find(isOf(part));
      const done = (its?.done ?? part.started) + counted(part, unsent);
      return { ...part, done: Math.max(0, Math.min(part.started, done)) };
    }),
  };
}

export const left = (part: Part) => part.started - part.done;

export const isDone = (turn: Turn) => turn.parts.every((part) => left(part) <= 0);

/** The turns as they stand with what isn't sent yet; those that are done by now are left out. */
export const openTurns = (view: WorkView, unsent: Entry[]) =>
  view.turns.map((turn) => now(turn, view, unsent)).filter((turn) => !isDone(turn));
