import type { Schemas } from '../../api/client';
import type { useDraft } from '../../ui/useDraft';

export type Plan = Schemas['SeasonPlanView'];
export type Form = Schemas['SeasonForm'];
export type Row = Schemas['SeasonRow'];
export type Draft = ReturnType<typeof useDraft<Form>>;

/** The maker’s own judgement of a kind in words. */
export const judged = (percent: number) =>
  percent === 100 ? 'as sales say' : percent > 100 ? `${percent} % of what sales say` : `only ${percent} %`;

/** A form with another judgement of a kind; one that agrees with the sales isn’t kept. */
export function withJudgement(form: Form, kind: string, percent: number): Form {
  const others = form.judgements.filter((one) => one.kind !== kind);
  return { ...form, judgements: percent === 100 ? others : [...others, { kind, percent }] };
}

/** A form in which so many of a kind are made whatever they bring; what can’t be read changes nothing. */
export function withAtLeast(form: Form, kind: string, text: string): Form {
  const units = whole(text);
  if (units === undefined) return form;
  const others = form.atLeast.filter((one) => one.kind !== kind);
  return { ...form, atLeast: units === 0 ? others : [...others, { kind, units }] };
}

export type Occasion = Schemas['SeasonOccasion'];

/** A form in which a design is sold for another occasion, or all year. */
export function withOccasion(
  form: Form,
  designId: number,
  occasion: Omit<Occasion, 'designId'> | undefined,
): Form {
  const others = form.occasions.filter((one) => one.designId !== designId);
  return { ...form, occasions: occasion ? [...others, { ...occasion, designId }] : others };
}

/** How many are made of each kind, for what is asked of the server. */
export const numbers = (rows: Row[], typed: Record<string, string>) =>
  rows.map((row) => ({ kind: row.kind, units: whole(typed[row.kind]) ?? row.make }));

/** A whole number from 0 to 1000 as it is typed; undefined for anything else. */
export function whole(text: string | undefined): number | undefined {
  if (text === undefined) return undefined;
  const trimmed = text.trim();
  if (trimmed === '') return 0;
  return /^\d{1,4}$/.test(trimmed) && Number(trimmed) <= 1000 ? Number(trimmed) : undefined;
}
