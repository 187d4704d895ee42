import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type Schemas } from '../../api/client';
import { keys, useChannels } from '../../api/queries';
import { SelectField, TextField } from '../../ui/Field';
import { useUnits } from '../../ui/units';
import { useSettled } from '../../ui/useSettled';
import type { Sheet } from './curve';
import { bagParams } from './place';

const NOTHING = { material: '', rate: '', faster: '', units: '', otherChannel: '' };

/** How it would be if something were otherwise, beside how it is; nothing of it is kept. */
export function WhatIf({ sheet, price }: { sheet: Sheet; price: string }) {
  const { currency } = useUnits();
  const channels = useChannels();
  const [typed, setTyped] = useState(NOTHING);
  const asked = useSettled({ ...typed, price }, 250);
  const isAsked = Object.values(typed).some((one) => one.trim() !== '');
  const question = new URLSearchParams([
    ...new URLSearchParams(bagParams(sheet, sheet.channelId)),
    ...Object.entries(asked).filter(([, value]) => value.trim() !== ''),
  ]).toString();
  const { data, error } = useQuery({
    queryKey: [...keys.prices, 'what-if', question],
    queryFn: () => api.get<Schemas['WhatIfPrices']>(`/api/prices/what-if?${question}`),
    enabled: isAsked,
    placeholderData: keepPreviousData,
    retry: false,
  });
  const on = (field: string) =>
    error instanceof Problem ? error.errors.find((one) => one.field === field)?.sentence : undefined;
  const field = (name: keyof typeof NOTHING, label: string) => (
    <TextField
      label={label}
      inputMode="decimal"
      value={typed[name]}
      error={on(name)}
      onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
    />
  );
  const figures = (side: Schemas['WhatIfSide']) => [
    side.cost.amount,
    side.suggested?.amount ?? 'none',
    side.left.amount,
    side.perHour?.amount ?? '',
  ];
  return (
    <section className="sheet overflow-x-auto px-4 py-3" aria-label="What if">
      <h2>What if</h2>
      <div className="mt-1 grid items-start gap-3 md:grid-cols-5">
        {field('material', 'material dearer by (%)')}
        {field('rate', `an hour at (${currency})`)}
        {field('faster', 'faster by (min each)')}
        {field('units', 'made at a time')}
        <SelectField
          label="through"
          value={typed.otherChannel}
          onChange={(event) => setTyped({ ...typed, otherChannel: event.target.value })}
        >
          <option value="">{sheet.channel}</option>
          {channels.data
            ?.filter((channel) => !channel.putAway && channel.id !== sheet.channelId)
            .map((channel) => (
              <option key={channel.id} value={channel.id}>
                {channel.terms.name}
              </option>
            ))}
        </SelectField>
      </div>
      {isAsked && data && !error && (
        <>
          <p className="mt-2 text-soft" aria-live="polite">
            {data.changed.length > 0 ? data.changed.join(', ') : 'nothing is different'}; nothing of it is
            kept.
          </p>
          <table className="listing w-full">
            <thead>
              <tr>
                <th />
                <th className="num">It costs</th>
                <th className="num">Calculated</th>
                <th className="num">Left at {data.now.price.amount}</th>
                <th className="num">An hour</th>
              </tr>
            </thead>
            <tbody>
              {(['now', 'then'] as const).map((side) => (
                <tr key={side}>
                  <th scope="row" className="!border-b-0">
                    {side === 'now' ? 'as it is' : 'so'}
                  </th>
                  {figures(data[side]).map((figure, i) => (
                    <td key={i} className={`num ${side === 'then' ? 'font-bold' : ''}`}>
                      {figure}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  );
}
