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
