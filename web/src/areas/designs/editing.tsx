import { createContext, useContext, useEffect, useRef } from 'react';
import { api, Problem, type Schemas } from '../../api/client';

export type Document = Schemas['DesignDocument'];
export type Sheet = Schemas['DesignSheet'];
export type Size = Schemas['SizeSheet'];
export type Finding = Schemas['FindingView'];

/** The design that is being edited, with what follows from it for the size that is shown. */
export interface Editing {
  document: Document;
  sheet: Sheet;
  shown?: Size;
  change: (next: Partial<Document>) => void;
  /** Opens the part of the page where a finding points at. */
  goTo: (place: string) => void;
}

export const EditingContext = createContext<Editing | undefined>(undefined);

export function useEditing() {
  const editing = useContext(EditingContext);
  if (!editing) throw new Error('there is no design being edited here');
  return editing;
}

/** What was found at a place of the design, in any of its sizes. */
export function useFindings(place: string): Finding[] {
  const { sheet } = useEditing();
  const found = sheet.sizes.flatMap((size) => size.findings).filter((finding) => finding.place === place);
  return [...new Map(found.map((finding) => [finding.sentence, finding])).values()];
}

/** The list with one item changed. */
export const replaced = <T,>(list: T[], index: number, next: Partial<T>) =>
  list.map((item, i) => (i === index ? { ...item, ...next } : item));

export const without = <T,>(list: T[], index: number) => list.filter((_, i) => i !== index);

/** The list with one item moved up or down, if it can go there. */
export function moved<T>(list: T[], index: number, by: -1 | 1) {
  const to = index + by;
  const item = list[index];
  if (to < 0 || to >= list.length || item === undefined) return list;
  const rest = without(list, index);
  return [...rest.slice(0, to), item, ...rest.slice(to)];
}

/** The first letter that no piece, panel or trim has yet. */
export function freeLetter({ pieces, panels, trims }: Document) {
  const taken = new Set([...pieces, ...panels, ...trims].map((item) => item.letter));
  for (let round = 0; ; round++) {
    for (const letter of 'ABCDEFGHIJKLMNOPQRSTUVWXYZ') {
      const candidate = round === 0 ? letter : `${letter}${round}`;
      if (!taken.has(candidate)) return candidate;
    }
  }
}

type Slot = Schemas['SlotRow'];

/** What is asked for of a kind already, or a new slot for it. */
export function slotFor(
  { slots }: Document,
  kinds: Slot['kind'][],
  label: string,
): { slot: string; slots: Slot[] } {
  const there = slots.find((slot) => kinds.includes(slot.kind));
  if (there) return { slot: there.key, slots };
  const added = newSlot(slots, kinds[0] as Slot['kind'], label);
  return { slot: added.key, slots: [...slots, added] };
}

/** A slot that asks for a material of a kind. */
export function newSlot(slots: Slot[], kind: Slot['kind'], label: string, materialId?: number): Slot {
  const key = freeKey(
    label,
    slots.map((slot) => slot.key),
  );
  return { key, label, kind, cloths: [], materialId };
}

/** The list with a copy of one item after it. */
export const copied = <T,>(list: T[], index: number, copy: T) => [
  ...list.slice(0, index + 1),
  copy,
  ...list.slice(index + 1),
];

/** A name for formulas and keys from words: small letters and digits only, not taken yet. */
export function freeKey(words: string, taken: string[]) {
  const plain = words.toLowerCase().replace(/[^a-z0-9]+/g, '') || 'm';
  const start = /^[a-z]/.test(plain) ? plain : `m${plain}`;
  let key = start;
  for (let i = 2; taken.includes(key); i++) key = `${start}${i}`;
  return key;
}

type Named = Schemas['RenamedPart']['what'];

/** Gives a piece, a measurement or a size another name everywhere, in one step; answers why not, if it can't be. */
export function useRename() {
  const { document, change } = useEditing();
  const latest = useRef({ document, change });
  useEffect(() => {
    latest.current = { document, change };
  });
  return async (what: Named, from: string, to: string): Promise<string | undefined> => {
    for (;;) {
      const asked = latest.current.document;
      try {
        const renamed = await api.post<Document>('/api/designs/renamed', { document: asked, what, from, to });
        if (latest.current.document === asked) {
          latest.current.change(renamed);
          return undefined;
        }
      } catch (problem) {
        return problem instanceof Problem ? problem.message : 'The name couldn’t be changed. Try it again.';
      }
    }
  };
}
