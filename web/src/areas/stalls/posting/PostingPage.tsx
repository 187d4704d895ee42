import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../../api/client';
import { keys, useBagWeights, usePosting } from '../../../api/queries';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Notice, ProblemNotice } from '../../../ui/Notice';
import { useUnits } from '../../../ui/units';
import { useDraft } from '../../../ui/useDraft';
import { useSend } from '../../../ui/useSend';
import { useTitle } from '../../../ui/useTitle';
import { useTypedRow } from '../../../ui/useTypedRow';

type Form = Schemas['PostingForm'];
type Rate = Schemas['RateForm'];
type Weight = Schemas['BagWeight'];

const NO_RATE: Rate = { zone: '', name: '', most: '', longest: '', middle: '', shortest: '', price: '' };

/** What it costs to post something, what bags weigh, and what goes along. */
export default function PostingPage() {
  useTitle('Posting');
  const { data, error } = usePosting();
  return (
    <>
      <header className="mb-3">
        <Link className="inline-block min-h-6 text-soft hover:underline" to="/stalls">
          Stalls
        </Link>
        <h1>Posting</h1>
      </header>
      {error && <ProblemNotice problem={error} />}
      <div className="space-y-4">
        {data && <PostageForm key={data.version} stored={data} />}
        <Weights />
        <LabelByHand />
      </div>
    </>
  );
}

/** The postage table and what stands on parcels, saved together. */
function PostageForm({ stored }: { stored: Form }) {
  const client = useQueryClient();
  const units = useUnits();
  const draft = useDraft<Form>('mardun.posting', stored);
  const form = draft.value ?? stored;
  const change = (next: Partial<Form>) => draft.update((before) => ({ ...before, ...next }));
  const save = useSend(
    ({ typed, version }: { typed: Form; version: number }) =>
      api.put<Form>('/api/posting', { ...typed, version }),
    (saved, { typed }) => {
      client.setQueryData(keys.posting, saved);
      draft.saved(typed, saved);
    },
  );
  const set = (i: number, next: Partial<Rate>) =>
    change({ rates: form.rates.map((rate, j) => (j === i ? { ...rate, ...next } : rate)) });
  const columns: [keyof Rate, string, string][] = [
    ['zone', 'Zone', 'where to'],
    ['name', 'Called', 'letter, packet …'],
    ['most', 'Up to', '500 g'],
    ['longest', `Longest side (${units.small})`, 'any'],
    ['middle', `Middle (${units.small})`, 'any'],
    ['shortest', `Thick (${units.small})`, 'any'],
    ['price', `Price (${units.currency})`, ''],
  ];
  return (
    <form
      noValidate
      className="sheet space-y-4 p-4"
      aria-label="Postage"
      onSubmit={(event) => {
        event.preventDefault();
        if (!save.isPending)
          save.mutate({ typed: form, version: save.problem?.currentVersion ?? form.version });
      }}
    >
      <h2>Postage</h2>
      {form.rates.length === 0 && (
        <p className="text-soft">
          Enter what the post asks for, a row each; the cheapest that takes a parcel is proposed.
        </p>
      )}
      {form.rates.length > 0 && (
        <div className="relative overflow-x-auto">
          <table className="w-full min-w-[760px]">
            <thead>
              <tr className="text-left text-[13px] text-soft">
                {columns.map(([key, label]) => (
                  <th key={key} className="px-1 font-semibold">
                    {label}
                  </th>
                ))}
                <th>
                  <span className="sr-only">Remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {form.rates.map((rate, i) => (
                <tr key={i} className="align-top">
                  {columns.map(([key, label, example]) => (
                    <td key={key} className="px-1 py-0.5">
                      <TextField
                        label={`${label}, row ${i + 1}`}
                        hideLabel
                        placeholder={example}
                        value={rate[key]}
                        maxLength={key === 'zone' ? 60 : key === 'name' ? 80 : 40}
                        list={key === 'zone' ? 'zones' : undefined}
                        error={save.problem?.on(`rates.${i}.${key}`)}
                        onChange={(event) => set(i, { [key]: event.target.value })}
                      />
                    </td>
                  ))}
                  <td>
                    <Button
                      look="quiet"
                      aria-label={`Remove row ${i + 1}`}
                      onClick={() => change({ rates: form.rates.filter((_, j) => j !== i) })}
                    >
                      ×
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <datalist id="zones">
            {[...new Set(form.rates.map(({ zone }) => zone))].map((zone) => (
              <option key={zone} value={zone} />
            ))}
          </datalist>
        </div>
      )}
      <Button
        look="quiet"
        onClick={() =>
          change({ rates: [...form.rates, { ...NO_RATE, zone: form.rates.at(-1)?.zone ?? '' }] })
        }
      >
        Add a row
      </Button>
      <div className="grid gap-3 md:grid-cols-2">
        <Words
          label="Sender, a line each"
          value={form.sender}
          rows={3}
          onType={(sender) => change({ sender })}
        />
        <TextField
          label="A packing weighs"
          hint="Envelope or box, with its paper."
          maxLength={40}
          value={form.packing}
          error={save.problem?.on('packing')}
          onChange={(event) => change({ packing: event.target.value })}
        />
        <Words
          label="Card: how to press it on arrival"
          value={form.pressCard}
          rows={4}
          onType={(pressCard) => change({ pressCard })}
        />
        <Words
          label="Card for what no iron may touch"
          value={form.unironedCard}
          rows={4}
          onType={(unironedCard) => change({ unironedCard })}
        />
      </div>
      {save.problem?.isClash && (
        <Notice look="care">
          {save.problem.message} Saving again keeps what you typed; discarding keeps the other one.
        </Notice>
      )}
      {save.problem && !save.problem.isClash && save.problem.errors.length === 0 && (
        <ProblemNotice problem={save.problem} />
      )}
      {draft.isChanged && (
        <div className="flex gap-2">
          <Button type="submit" disabled={save.isPending}>
            Save
          </Button>
          <Button look="quiet" onClick={() => draft.giveUp()}>
            Discard changes
          </Button>
        </div>
      )}
    </form>
  );
}

function Words({
  label,
  value,
  rows,
  onType,
}: {
  label: string;
  value: string;
  rows: number;
  onType: (text: string) => void;
}) {
  return (
    <label className="block">
      <span className="block text-[13px] font-semibold text-soft">{label}</span>
      <textarea
        className="field"
        rows={rows}
        maxLength={600}
        value={value}
        onChange={(event) => onType(event.target.value)}
      />
    </label>
  );
}

/** What one of each bag weighs; each row is saved when it is left. */
function Weights() {
  const { data, error } = useBagWeights();
  const units = useUnits();
  if (error) return <ProblemNotice problem={error} />;
  if (!data || data.length === 0) return null;
  return (
    <section className="sheet p-4" aria-label="What bags weigh">
      <h2>What bags weigh</h2>
      <p className="text-soft">
        Put one on the scales, and lay it flat to measure how thick it is: what is left empty counts as{' '}
        {data[0] && units.own(data[0].usuallyThick)}.
      </p>
      <ul className="mt-2 grid gap-x-6 lg:grid-cols-2">
        {data.map((one) => (
          <WeightRow key={`${one.designId} ${one.sizeKey}`} bag={one} />
        ))}
      </ul>
    </section>
  );
}

function WeightRow({ bag }: { bag: Weight }) {
  const client = useQueryClient();
  const units = useUnits();
  const row = useTypedRow(
    { weight: bag.weight, thick: bag.thick },
    (what) =>
      api.put<Weight[]>('/api/posting/weights', {
        designId: bag.designId,
        sizeKey: bag.sizeKey,
        ...what,
      }),
    {
      isReady: (what) => what.weight !== '' || bag.weight !== '',
      then: (all) => client.setQueryData([...keys.posting, 'weights'], all),
    },
  );
  return (
    <li className="grid grid-cols-[1fr_104px_104px] items-center gap-2 border-t border-line-faint py-1">
      <span className="font-semibold">{bag.name}</span>
      <TextField
        label={`Weight of ${bag.name}`}
        hideLabel
        placeholder="120 g"
        maxLength={40}
        value={row.shown.weight}
        error={row.problem?.on('weight')}
        onBlur={row.leave}
        onChange={(event) => row.type('weight', event.target.value)}
      />
      <TextField
        label={`Thickness of ${bag.name}`}
        hideLabel
        placeholder={units.own(bag.usuallyThick)}
        maxLength={40}
        value={row.shown.thick}
        error={row.problem?.on('thick')}
        onBlur={row.leave}
        onChange={(event) => row.type('thick', event.target.value)}
      />
    </li>
  );
}

/** An address label for anything that isn’t an online order. */
function LabelByHand() {
  const [address, setAddress] = useState('');
  return (
    <section className="sheet space-y-3 p-4" aria-label="A label by hand">
      <h2>A label by hand</h2>
      <Words label="Address, a line each" value={address} rows={4} onType={setAddress} />
      {address.trim() !== '' && (
        <a
          className="inline-block min-h-11 content-center font-semibold text-woad hover:underline"
          href={`/api/posting/label.pdf?address=${encodeURIComponent(address)}`}
        >
          Label as PDF
        </a>
      )}
    </section>
  );
}
