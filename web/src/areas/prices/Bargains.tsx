import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type Schemas } from '../../api/client';
import { keys, useChannels } from '../../api/queries';
import { SelectField, TextField } from '../../ui/Field';
import { useSettled } from '../../ui/useSettled';
import { unsigned } from '../../ui/units';
import type { Sheet } from './curve';
import { bagParams } from './place';

const NOTHING = { units: '3', together: '', later: '', laterPrice: '', likelihood: '80' };

/** What a set or free postage leaves, and for how little one is let go at the end of a day; nothing of it is kept. */
export function Bargains({ sheet, price }: { sheet: Sheet; price: string }) {
  const channels = useChannels();
  const [typed, setTyped] = useState(NOTHING);
  const asked = useSettled({ ...typed, price }, 250);
  const question = new URLSearchParams([
    ...new URLSearchParams(bagParams(sheet, sheet.channelId)),
    ...Object.entries(asked).filter(([, value]) => value.trim() !== ''),
  ]).toString();
  const { data, error } = useQuery({
    queryKey: [...keys.prices, 'bargains', question],
    queryFn: () => api.get<Schemas['BargainsView']>(`/api/prices/bargains?${question}`),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const on = (field: string) =>
    error instanceof Problem ? error.errors.find((one) => one.field === field)?.sentence : undefined;
  const field = (name: Exclude<keyof typeof NOTHING, 'later'>, label: string) => (
    <TextField
      label={label}
      inputMode="decimal"
      value={typed[name]}
      error={on(name)}
      onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
    />
  );
  return (
    <section className="sheet px-4 py-3" aria-label="Sets, free postage, the last one of the day">
      <h2>Sets, free postage, the last one of the day</h2>
      <div className="mt-1 grid items-start gap-3 md:grid-cols-[90px_140px_1fr]">
        {field('units', 'so many')}
        {field('together', 'together for')}
        <Leaves bargain={typed.together.trim() ? data?.together : undefined} />
      </div>
      {data?.postedFree && (
        <p className="mt-2 flex flex-wrap gap-x-1.5">
          With free postage, at {price}: <Leaves bargain={data.postedFree} inline />
        </p>
      )}
      <div className="mt-2 grid items-start gap-3 border-t border-line-faint pt-2 md:grid-cols-[1fr_120px_120px]">
        <SelectField
          label="If it isn’t sold today, it is sold later through"
          value={typed.later}
          onChange={(event) => setTyped({ ...typed, later: event.target.value })}
        >
          <option value="">choose …</option>
          {(channels.data ?? [])
            .filter((channel) => !channel.putAway)
            .map((channel) => (
              <option key={channel.id} value={channel.id}>
                {channel.terms.name}
              </option>
            ))}
        </SelectField>
        {field('laterPrice', 'at')}
        {field('likelihood', 'how likely (%)')}
      </div>
      {typed.later && typed.laterPrice.trim() && data && (
        <p className="mt-1">
          {data.leastToday ? (
            <>
              Let it go today for no less than <b>{data.leastToday.amount}</b>: that brings as much as
              waiting. What it cost is spent either way.
            </>
          ) : (
            data.noneToday && 'No price today brings as much as waiting.'
          )}
        </p>
      )}
    </section>
  );
}

function Leaves({ bargain, inline }: { bargain: Schemas['BargainView'] | undefined; inline?: boolean }) {
  if (!bargain) return null;
  const isLost = bargain.left.minor < 0;
  return (
    <span className={inline ? '' : 'self-center'}>
      <b className={isLost ? 'text-madder' : ''}>
        {unsigned(bargain.left.amount)} {isLost ? 'lost' : 'left'} of each
      </b>
      {bargain.perHour && `, ${bargain.perHour.amount} an hour`}
    </span>
  );
}
