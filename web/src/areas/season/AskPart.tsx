import { useQueryClient } from '@tanstack/react-query';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { day, useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import type { Draft, Form, Plan } from './season';

/** What the plan is for, and what it may take. */
export function AskPart({ plan, draft }: { plan: Plan; draft: Draft }) {
  const client = useQueryClient();
  const { currency } = useUnits();
  const form = draft.value ?? plan.form;
  const set = (changed: Partial<Form>) => draft.update((before) => ({ ...before, ...changed }));
  const ask = useSend(
    ({ typed, version }: { typed: Form; version: number }) =>
      api.put<Schemas['SeasonPlanView']>('/api/season-plan', { ...typed, version }),
    (planned, { typed }) => {
      client.setQueryData(keys.season, planned);
      draft.saved(typed, planned.form);
    },
  );
  const text = (key: 'hours' | 'money' | 'pieces' | 'keeps' | 'weeks', label: string, hint: string) => (
    <TextField
      label={label}
      value={form[key]}
      inputMode="decimal"
      hint={hint}
      error={ask.problem?.on(key)}
      onChange={(event) => set({ [key]: event.target.value })}
    />
  );
  return (
    <form
      noValidate
      className="sheet space-y-4 p-4"
      aria-label="What it is for"
      onSubmit={(event) => {
        event.preventDefault();
        if (!ask.isPending) ask.mutate({ typed: form, version: ask.problem?.currentVersion ?? form.version });
      }}
    >
      {ask.problem && ask.problem.errors.length === 0 && <ProblemNotice problem={ask.problem} />}
      {form.occasions.map(({ designId }) => {
        const wrong =
          ask.problem?.on(`occasions.${designId}.name`) ?? ask.problem?.on(`occasions.${designId}.keeps`);
        const design = plan.rows.find((row) => row.designId === designId)?.design;
        return (
          wrong && (
            <Notice key={designId}>
              The occasion of {design}: {wrong}
            </Notice>
          )
        );
      })}
      <fieldset>
        <legend className="mb-1 font-semibold">For</legend>
        {plan.choices.map((fair) => (
          <label key={fair.id} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={form.fairs.includes(fair.id)}
              onChange={(event) =>
                draft.update((before) => ({
                  ...before,
                  fairs: event.target.checked
                    ? [...before.fairs, fair.id]
                    : before.fairs.filter((id) => id !== fair.id),
                }))
              }
            />
            <span className="min-w-0 flex-1">{fair.name}</span>
            <span className="text-soft">{day(fair.heldOn)}</span>
          </label>
        ))}
        {plan.choices.length === 0 && <p className="text-soft">No fair is ahead.</p>}
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={form.shop}
            onChange={(event) => set({ shop: event.target.checked })}
          />
          The online shop
        </label>
        {form.fairs.length === 0 && text('weeks', 'Weeks of the shop', 'As no fair is chosen.')}
      </fieldset>
      {text(
        'hours',
        'Hours for it',
        `Empty for the free ones before the first fair: ${plan.freeHours.text}.`,
      )}
      {text('money', `May be spent (${currency})`, 'Empty for as much as it takes.')}
      {text('pieces', 'Bags at most', 'Empty for any number.')}
      {text('keeps', 'One left over is worth (%)', 'Of what it leaves at a fair; it waits for the next one.')}
      <fieldset>
        <legend className="mb-1 font-semibold">It shall be good</legend>
        {(
          [
            ['BEST_MEAN', 'on average'],
            ['BETTER_BAD_DAY', 'on a bad day, too'],
          ] as const
        ).map(([aim, words]) => (
          <label key={aim} className="flex min-h-11 items-center gap-2">
            <input
              type="radio"
              name="aim"
              className="size-5"
              checked={form.aim === aim}
              onChange={() => set({ aim })}
            />
            {words}
          </label>
        ))}
      </fieldset>
      {draft.isChanged && !ask.isPending && <Notice>The plan beside is for what was asked before.</Notice>}
      <div className="flex flex-wrap gap-2">
        <Button type="submit" disabled={ask.isPending || form.occasions.some(({ lastDay }) => !lastDay)}>
          {ask.isPending ? 'Planning …' : 'Plan again'}
        </Button>
        {draft.isChanged && (
          <Button type="button" look="quiet" onClick={draft.giveUp}>
            Discard changes
          </Button>
        )}
      </div>
    </form>
  );
}
