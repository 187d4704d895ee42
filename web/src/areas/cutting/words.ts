import type { Schemas } from '../../api/client';

type Step = Schemas['StepView'];
type Part = Schemas['StripPart'];
type LengthView = Schemas['LengthView'];
export type Aim = Schemas['CuttingView']['aim'];

export const AIMS: Record<Aim, string> = {
  MONEY: 'least money',
  LEAST_CLOTH: 'least cloth',
  FEWEST_CUTS: 'fewest cuts',
  BEST_OFFCUT: 'best offcut',
};

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
const many = (count: number) => NUMBERS[count] ?? String(count);
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What a step is, as one says it at the table. */
export function stepTitle(step: Step, own: (length: LengthView) => string) {
  if (step.kind === 'SQUARE') return 'Square the end';
  if (step.again) return `Once more: ${own(step.size)}`;
  if (step.kind === 'AS_IT_IS') return 'As it is';
  const strip = step.across ? 'strip' : 'lengthwise strip';
  return step.times === 1
    ? `${capital(strip)} of ${own(step.size)}`
    : `${capital(many(step.times))} ${strip}s of ${own(step.size)}`;
}

/** How many equal strips lie on one another when they are cut into pieces. */
export function layered(step: Step) {
  if (step.layers < 2) return '';
  return `${step.layers} strips on one another`;
}

/** All that a strip is cut into, with what is left between two pieces so that each shows its part of the print. */
export function partsWords(parts: Part[], own: (length: LengthView) => string): string[] {
  return parts
    .map((part, i) => (part.left && i < parts.length - 1 ? `leave ${own(part.size)}` : partWords(part, own)))
    .filter(Boolean);
}

/** What a strip is cut into: 5 × 9 ½ in → A. */
export function partWords(part: Part, own: (length: LengthView) => string): string {
  const size = part.times > 1 ? `${part.times} × ${own(part.size)}` : own(part.size);
  if (part.left) return '';
  if (part.parts.length === 0) return `${size} → ${part.letter}`;
  const inner = partsWords(part.parts, own);
  return `${size}, then ${inner.join(' and ')}`;
}
