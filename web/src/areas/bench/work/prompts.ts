import type { Part } from './progress';

export type Prompt = Part['prompts'][number];

export const WHEN: Record<Prompt['kind'], string> = {
  BEFORE: 'before',
  DO: 'do',
  DURING: 'meanwhile',
  AFTER: 'after',
};

/** Which prompts were ticked, for which bags: it begins anew with every count. */
export interface Ticked {
  of: string;
  places: number[];
}

export const ticksOf = (ticked: Ticked, of: string) => (ticked.of === of ? ticked.places : []);

/** The place of what comes next; nothing when all is ticked. */
export const nextPrompt = (prompts: Prompt[], ticks: number[]) => {
  const at = prompts.findIndex((_, place) => !ticks.includes(place));
  return at < 0 ? undefined : at;
};

/** What must be confirmed and isn't yet. */
export const unconfirmed = (prompts: Prompt[], ticks: number[]) =>
  prompts.filter((prompt, place) => prompt.gate && !ticks.includes(place));

/** What was confirmed, as an entry tells it. */
export const confirmed = (prompts: Prompt[]) =>
  prompts.filter((prompt) => prompt.gate).map((prompt) => prompt.text);
