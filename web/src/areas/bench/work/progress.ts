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

/** Whether a part is of a bundle: not of all bags that are begun. */
const isBundle = (part: Part) => part.started < part.all;

/** Whether two parts are of the same bags at the same step. */
const isSamePart = (part: Part) => (other: Part) =>
  isOf(part)(other) && (part.started === other.started || (!isBundle(part) && !isBundle(other)));

/** Whether two turns are the same operation, one of them perhaps for fewer lines by now. */
export const isSame = (turn: Turn, other: Turn) =>
  turn.parts.some((part) => other.parts.some(isSamePart(part)));

/** A bag that is scrapped is lost, unless another is begun in its place. */
const isLost = (entry: Entry) => entry.slip?.outcome === 'SCRAP' && !entry.slip.again;

/**
 * How many bags of a part are lost or found again by what the server hasn't heard yet: one that is scrapped at a step has been through what
 * comes before it and comes to nothing else.
 */
export function lost(part: Part, view: WorkView, unsent: Entry[]) {
  const comesTo = (step: string) =>
    !view.turns
      .flatMap((turn) => turn.parts)
      .find((one) => one.line === part.line && one.step === step)
      ?.before.includes(part.step);
  return unsent
    .filter((entry) => entry.line === part.line)
    .reduce((sum, entry) => {
      if (entry.kind === 'SLIPPED' && isLost(entry) && comesTo(entry.step)) {
        return sum + entry.bags;
      }
      const slip = entry.kind === 'WITHDRAWN' && view.slips.find((one) => one.id === entry.ofEvent);
      const wasLost = slip && slip.outcome === 'SCRAP' && slip.cutAgain.length === 0;
      return wasLost && comesTo(slip.step) ? sum - slip.bags : sum;
    }, 0);
}

/** A turn as it is now: what the server knows of its lines, and what it hasn't heard yet. */
export function now(turn: Turn, view: WorkView, unsent: Entry[]): Turn {
  const known = view.turns.flatMap((one) => one.parts);
  return {
    ...turn,
    parts: turn.parts.map((part) => {
      const its = known.find(isSamePart(part));
      const gone = lost(part, view, unsent);
      const started = Math.max(0, (its ?? part).started - gone);
      const done = ((its ?? known.find(isOf(part)))?.done ?? part.started) + counted(part, unsent);
      return {
        ...part,
        started,
        all: Math.max(0, (its ?? part).all - gone),
        done: Math.max(0, Math.min(started, done)),
      };
    }),
  };
}

export const left = (part: Part) => part.started - part.done;

export const isDone = (turn: Turn) => turn.parts.every((part) => left(part) <= 0);

/** The turns as they stand with what isn't sent yet; those that are done by now are left out. */
export const openTurns = (view: WorkView, unsent: Entry[]) =>
  view.turns.map((turn) => now(turn, view, unsent)).filter((turn) => !isDone(turn));

/** Bags of a line that come to the same operation next; where that is none, they are through with all. */
export interface Stand {
  line: number;
  what: string;
  cloth: string;
  from: number;
  to: number;
  next?: string;
}

/**
 * Which bags stand where: bags are taken in turn, so those that are further are the first of their line.
 *
 * @param turns as they stand now, those that are done left out
 */
export function stands(turns: Turn[]): Stand[] {
  const parts = turns.flatMap((turn) => turn.parts.map((part) => ({ ...part, name: turn.name })));
  const lines = new Map(parts.map((part) => [part.line, part]));
  return [...lines.values()].flatMap(({ line, what, cloth, all }) => {
    const its = parts.filter((part) => part.line === line);
    const found: Stand[] = [];
    for (let bag = 1; bag <= all; bag++) {
      const next = its.find((part) => part.done < bag && bag <= part.started)?.name;
      const last = found.at(-1);
      if (last && last.next === next) last.to = bag;
      else found.push({ line, what, cloth, from: bag, to: bag, next });
    }
    return found;
  });
}
