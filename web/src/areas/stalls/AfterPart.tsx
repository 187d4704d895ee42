import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { useSettlement } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { useDraft } from '../../ui/useDraft';
import { useRequestId, useSend } from '../../ui/useSend';
import { WorkedFigure } from '../../ui/WorkedFigure';
import { CashPanel } from './CashPanel';
import { DaySeen } from './DaySeen';
import { called } from '../../ui/quality';

type View = Schemas['SettlementView'];
type Ended = Schemas['GoneForm']['ended'];

const ENDED: Record<Ended, string> = {
  GIVEN_AWAY: 'given away',
  BROKEN: 'broken',
  STOLEN: 'stolen',
  SOLD: 'sold without a touch',
  PROMISED: 'promised, put aside',
};

/** The evening: what there is against what there should be, and what the fair left. */
export function AfterPart({ fairId }: { fairId: number }) {
  const { data, error } = useSettlement(fairId);
  const open = useSend(() => api.remove(`/api/fairs/${fairId}/settlement`));
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  return (
    <div className="grid items-start gap-4 xl:grid-cols-[1fr_380px]">
      {data.settled ? (
        <section className="sheet rounded-tl-none p-4" aria-label="Settled">
          <h2>Settled</h2>
          {data.later > 0 && (
            <div className="my-2">
              <Notice look="care">
                {data.later === 1 ? 'One touch' : `${data.later} touches`} of a device came in after it was
                settled. Open its count again to take {data.later === 1 ? 'it' : 'them'} in.
              </Notice>
            </div>
          )}
          <dl className="my-2 grid max-w-[520px] grid-cols-[1fr_auto_1fr] gap-x-6 gap-y-1">
            <Compared label="In cash" expected={data.cashExpected} difference={data.cashDifference} />
            <Compared label="By card" expected={data.cardExpected} difference={data.cardDifference} />
          </dl>
          {data.gone.length > 0 && (
            <ul className="my-2 list-disc pl-5">
              {data.gone.map((gone, i) => (
                <li key={i}>
                  {gone.units} × {gone.words}: {ENDED[gone.ended]}
                  {gone.note && `, ${gone.note}`}
                </li>
              ))}
            </ul>
          )}
          {data.nextTime && <p className="my-2 whitespace-pre-line">For next time: {data.nextTime}</p>}
          <Button look="quiet" disabled={open.isPending} onClick={() => open.mutate(undefined)}>
            Open its count again
          </Button>
          {open.problem && <ProblemNotice problem={open.problem} />}
        </section>
      ) : (
        <CountForm key={fairId} view={data} />
      )}
      <Left view={data} />
    </div>
  );
}

function Compared({
  label,
  expected,
  difference,
}: {
  label: string;
  expected: Schemas['MoneyView'];
  difference?: Schemas['MoneyView'];
}) {
  const says =
    !difference || difference.minor === 0
      ? 'as it should be'
      : difference.minor > 0
        ? `${difference.amount} too much`
        : `${difference.amount.replace(/^[-−]/, '')} missing`;
  return (
    <>
      <dt>{label}</dt>
      <dd className="text-right tabular-nums">{expected.amount}</dd>
      <dd className={difference && difference.minor !== 0 ? 'font-bold text-madder' : 'text-soft'}>{says}</dd>
    </>
  );
}

/** What the fair left, line by line. */
function Left({ view }: { view: View }) {
  return (
    <section className="sheet p-4" aria-label="What it left">
      <h2>What it left</h2>
      <table className="listing">
        <tbody>
          <tr>
            <td>
              {view.bags === 1 ? '1 bag' : `${view.bags} bags`} in{' '}
              {view.sales === 1 ? '1 sale' : `${view.sales} sales`}
            </td>
            <td className="num">{view.paid.amount}</td>
          </tr>
          {view.lines.map((line) => (
            <tr key={line.name}>
              <td>{line.name}</td>
              <td className="num">
                {line.adds ? '+' : '−'}
                {line.amount.amount}
              </td>
            </tr>
          ))}
          <tr className="text-[18px] font-bold">
            <td>left</td>
            <td className="num">
              <WorkedFigure label="what it left" working={view.left.working}>
                {view.left.value.amount}
              </WorkedFigure>
            </td>
          </tr>
          {view.perHourThere && (
            <tr>
              <td>
                for each of {view.there.text} there and {view.onTheWay.text} on the way
              </td>
              <td className="num font-bold">
                <WorkedFigure label="an hour there" working={view.perHourThere.working}>
                  {view.perHourThere.value.amount}
                </WorkedFigure>
              </td>
            </tr>
          )}
          {view.perHourInAll && (
            <tr>
              <td>an hour in all, with the making</td>
              <td className="num font-bold">
                <WorkedFigure label="an hour in all" working={view.perHourInAll.working}>
                  {view.perHourInAll.value.amount}
                </WorkedFigure>
              </td>
            </tr>
          )}
        </tbody>
      </table>
      {view.makingUnknown > 0 && (
        <p className="mt-1 text-[13px] text-soft">
          Of {view.makingUnknown} {view.makingUnknown === 1 ? 'bag' : 'bags'} nobody knows what making took,
          so an hour in all can’t be said.
        </p>
      )}
    </section>
  );
}

interface Count {
  cash: string;
  change: string;
  card: string;
  home: Record<string, string>;
  gone: (Schemas['GoneForm'] & { id: number })[];
  thereHours: string;
  wayHours: string;
  nextTime: string;
  footfall?: View['footfall'];
  weather?: View['weather'];
  unpack: boolean;
  /** How many coins and notes there are of each, by what one is in minor units; absent before one counts so. */
  coins?: Record<'cash' | 'change', Record<string, string>>;
}

const NO_COINS = { cash: {}, change: {} };

const begun = (view: View): Count => ({
  cash: '',
  change: view.changeProposed,
  card: '',
  home: {},
  gone: [],
  thereHours: view.thereHours === '0' ? '' : view.thereHours,
  wayHours: view.wayHours === '0' ? '' : view.wayHours,
  nextTime: '',
  footfall: view.footfall,
  weather: view.weather,
  unpack: true,
});

/** The count as it is typed; it stays in the tab until the fair is settled. */
function CountForm({ view }: { view: View }) {
  const draft = useDraft<Count>(`mardun.count.${view.fairId}`, begun(view));
  const count = draft.value ?? begun(view);
  const request = useRequestId();
  const set = (changed: Partial<Count>) => draft.update((before) => ({ ...before, ...changed }));
  const settle = useSend(
    () =>
      api.post<View>(`/api/fairs/${view.fairId}/settlement`, {
        requestId: request.id,
        mark: view.mark,
        cash: count.cash,
        change: count.change,
        card: count.card,
        home: view.home.map(({ bag, expected }) => ({
          kind: bag.key,
          counted: count.home[bag.key] ?? String(expected),
        })),
        gone: count.gone.map(({ kind, units, ended, paid, note }) => ({ kind, units, ended, paid, note })),
        thereHours: count.thereHours,
        wayHours: count.wayHours,
        nextTime: count.nextTime,
        footfall: count.footfall,
        weather: count.weather,
        unpack: count.unpack,
      }),
    draft.giveUp,
  );
  const [counting, setCounting] = useState<'cash' | 'change'>();
  const problem = settle.problem;
  /** Bags of which fewer were counted than there were, and of some of which nothing is said yet. */
  const missing = view.home.filter(({ bag, expected }) => {
    const typed = count.home[bag.key];
    return (
      typed !== undefined && /^\d+$/.test(typed.trim()) && Number(typed) + said(count, bag.key) < expected
    );
  });
  const text = (
    key: 'cash' | 'change' | 'card' | 'thereHours' | 'wayHours',
    label: string,
    hint?: string,
  ) => (
    <TextField
      label={label}
      inputMode="decimal"
      value={count[key]}
      hint={hint}
      error={problem?.on(key)}
      onChange={(event) => set({ [key]: event.target.value })}
    />
  );
  return (
    <form
      noValidate
      className="sheet space-y-4 rounded-tl-none p-4"
      aria-label="Count"
      onSubmit={(event) => {
        event.preventDefault();
        if (!settle.isPending) settle.mutate(undefined);
      }}
    >
      {view.unclear > 0 && (
        <Notice look="care">
          {view.unclear === 1 ? 'One question' : `${view.unclear} questions`} of the day{' '}
          {view.unclear === 1 ? 'is' : 'are'} open: a bag was sold that the book hadn’t.{' '}
          <ButtonLink look="quiet" to={`/stalls/${view.fairId}/day`}>
            Answer
          </ButtonLink>
        </Notice>
      )}
      <div className="grid items-start gap-3 md:grid-cols-3">
        <div>
          {text('cash', 'All that is in the box', `Sold for cash: ${view.cashExpected.amount}`)}
          <ByCoins onClick={() => setCounting('cash')}>Count the box by coins</ByCoins>
        </div>
        <div>
          {text('change', 'of which was brought', 'The change that was in it in the morning.')}
          <ByCoins onClick={() => setCounting('change')}>Count what was brought</ByCoins>
        </div>
        {text(
          'card',
          'The card reader says',
          `Sold by card: ${view.cardExpected.amount}. Empty if it agrees.`,
        )}
        {text('thereHours', 'Hours there, with setting up')}
        {text('wayHours', 'Hours on the way')}
        <DaySeen seen={count} weather onChange={set} />
      </div>
      <div>
        <h2>What comes home</h2>
        {view.home.length === 0 && <p className="text-soft">Nothing was at the stall.</p>}
        {view.home.length > 0 && (
          <table className="listing">
            <thead>
              <tr>
                <th>Bag</th>
                <th className="num">Sold</th>
                <th className="num">By the book</th>
                <th className="num">Counted</th>
              </tr>
            </thead>
            <tbody>
              {view.home.map(({ bag, expected, sold }, i) => {
                const name = called(bag);
                return (
                  <tr key={bag.key}>
                    <td>
                      <b>{name}</b>
                      {problem?.on(`home.${i}`) && (
                        <span className="block text-[13px] text-madder">{problem.on(`home.${i}`)}</span>
                      )}
                    </td>
                    <td className="num">{sold}</td>
                    <td className="num">{expected}</td>
                    <td className="num">
                      <input
                        className="field !w-[74px] text-right"
                        inputMode="numeric"
                        aria-label={`Counted: ${name}`}
                        aria-invalid={!!problem?.on(`home.${i}`)}
                        value={count.home[bag.key] ?? String(expected)}
                        onChange={(event) =>
                          draft.update((before) => ({
                            ...before,
                            home: { ...before.home, [bag.key]: event.target.value },
                          }))
                        }
                      />
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        )}
      </div>
      {(missing.length > 0 || count.gone.length > 0) && (
        <fieldset>
          <legend className="font-bold">What became of those that are missing</legend>
          {count.gone.map((gone, i) => (
            <GoneRow
              key={gone.id}
              gone={gone}
              name={nameOf(view, gone.kind)}
              problem={problem?.on(`gone.${i}.units`) ?? problem?.on(`gone.${i}.paid`)}
              onChange={(changed) =>
                set({ gone: count.gone.map((one) => (one.id === gone.id ? { ...one, ...changed } : one)) })
              }
              onRemove={() => set({ gone: count.gone.filter((one) => one.id !== gone.id) })}
            />
          ))}
          <div className="mt-1 flex flex-wrap gap-2">
            {missing.map(({ bag, expected }) => (
              <Button
                key={bag.key}
                look="quiet"
                onClick={() =>
                  set({
                    gone: [
                      ...count.gone,
                      {
                        id: Math.max(0, ...count.gone.map((one) => one.id)) + 1,
                        kind: bag.key,
                        units: String(expected - Number(count.home[bag.key]) - said(count, bag.key)),
                        ended: 'SOLD',
                        paid: '',
                        note: '',
                      },
                    ],
                  })
                }
              >
                {nameOf(view, bag.key)} …
              </Button>
            ))}
          </div>
        </fieldset>
      )}
      <div>
        <label htmlFor="next-time" className="mb-1 block text-[13px] font-semibold text-soft">
          For next time
        </label>
        <textarea
          id="next-time"
          rows={2}
          className="field"
          value={count.nextTime}
          onChange={(event) => set({ nextTime: event.target.value })}
        />
      </div>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={count.unpack}
          onChange={(event) => set({ unpack: event.target.checked })}
        />
        All that came home is unpacked
      </label>
      {counting && (
        <CashPanel
          title={counting === 'cash' ? 'All that is in the box' : 'What of it was brought'}
          counts={(count.coins ?? NO_COINS)[counting]}
          onChange={(counts) =>
            draft.update((before) => ({
              ...before,
              coins: { ...(before.coins ?? NO_COINS), [counting]: counts },
            }))
          }
          onTake={(sum) => {
            set({ [counting]: sum });
            setCounting(undefined);
          }}
          onClose={() => setCounting(undefined)}
        />
      )}
      {problem && problem.errors.length === 0 && <ProblemNotice problem={problem} />}
      {problem && problem.errors.length > 0 && <Notice>{problem.message}</Notice>}
      <Button type="submit" disabled={settle.isPending}>
        Settle this fair
      </Button>
    </form>
  );
}

const ByCoins = ({ onClick, children }: { onClick: () => void; children: string }) => (
  <button type="button" className="min-h-11 font-semibold text-woad hover:underline" onClick={onClick}>
    {children}
  </button>
);

const said = (count: Count, kind: string) =>
  count.gone.filter((one) => one.kind === kind).reduce((sum, one) => sum + (Number(one.units) || 0), 0);

const nameOf = (view: View, kind: string) => {
  const bag = view.home.find((row) => row.bag.key === kind)?.bag;
  return bag ? called(bag) : 'a bag';
};

function GoneRow({
  gone,
  name,
  problem,
  onChange,
  onRemove,
}: {
  gone: Schemas['GoneForm'];
  name: string;
  problem?: string;
  onChange: (changed: Partial<Schemas['GoneForm']>) => void;
  onRemove: () => void;
}) {
  return (
    <div className="flex flex-wrap items-center gap-2 border-b border-line-faint py-1.5">
      <input
        className="field !w-[64px] text-right"
        inputMode="numeric"
        aria-label={`How many of ${name}`}
        value={gone.units}
        onChange={(event) => onChange({ units: event.target.value })}
      />
      <span className="min-w-[160px] flex-1">{name}</span>
      <select
        className="field !w-auto"
        aria-label={`What became of ${name}`}
        value={gone.ended}
        onChange={(event) => onChange({ ended: event.target.value as Ended })}
      >
        {Object.entries(ENDED).map(([ended, words]) => (
          <option key={ended} value={ended}>
            {words}
          </option>
        ))}
      </select>
      {gone.ended === 'SOLD' && (
        <input
          className="field !w-[92px] text-right"
          inputMode="decimal"
          placeholder="for"
          aria-label={`Paid for ${name}`}
          value={gone.paid}
          onChange={(event) => onChange({ paid: event.target.value })}
        />
      )}
      <input
        className="field !w-[160px]"
        placeholder="note"
        aria-label={`Note on ${name}`}
        value={gone.note}
        onChange={(event) => onChange({ note: event.target.value })}
      />
      <Button look="quiet" aria-label={`Remove ${name}`} onClick={onRemove}>
        ×
      </Button>
      {problem && <span className="w-full text-[13px] text-madder">{problem}</span>}
    </div>
  );
}
