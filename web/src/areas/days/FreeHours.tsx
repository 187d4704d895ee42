import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { day } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';

type Day = Schemas['DayPlanView'];
type FreeHours = ReturnType<typeof useFreeHours>;

/** How many hours are free on a day: typed for this day alone, with what that would change, and kept when it is wanted. */
export function useFreeHours(one: Day) {
  const stored = one.hours;
  const [typed, setTyped] = useState<string>();
  const wanted = (typed ?? stored).trim();
  const isOther = wanted !== stored && wanted !== '';
  const settled = useSettled(wanted, 250);
  const moved = useQuery({
    queryKey: ['days-what-if', one.date, settled],
    queryFn: ({ signal }) =>
      api.post<Schemas['MovedBatch'][]>('/api/days/what-if', { day: one.date, hours: settled }, signal),
    enabled: isOther && settled === wanted,
    retry: false,
    gcTime: 10_000,
  });
  const keep = useSend(
    () => api.put<Schemas['FreeDayView'][]>(`/api/free-days/${one.date}`, { hours: wanted, note: one.note }),
    () => setTyped(undefined),
  );
  return {
    value: typed ?? stored,
    isOther,
    moved: isOther ? moved.data : undefined,
    wrong: keep.problem && (keep.problem.on('hours') ?? keep.problem.message),
    type: (text: string) => {
      keep.reset();
      setTyped(text);
    },
    undo: () => {
      keep.reset();
      setTyped(undefined);
    },
    keep: () => {
      if (isOther && !keep.isPending) keep.mutate(undefined);
    },
  };
}

/** The field in which they are typed. */
export function FreeHoursField({ day: one, free }: { day: Day; free: FreeHours }) {
  const asUsual = useSend(() => api.remove(`/api/free-days/${one.date}`));
  return (
    <form
      className="mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        free.keep();
      }}
    >
      <label className="flex items-center gap-1 text-[13px] whitespace-nowrap text-soft">
        <input
          aria-label={`Hours free on ${day(one.date)}`}
          aria-invalid={!!free.wrong}
          inputMode="decimal"
          className="h-9 w-11 rounded border border-line-strong bg-white px-1 text-center font-semibold text-ink aria-invalid:border-madder"
          value={free.value}
          onChange={(event) => free.type(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') free.undo();
          }}
        />
        h free
      </label>
      {!free.isOther && one.isOther && (
        <button
          type="button"
          className="no-print min-h-9 text-[13px] font-semibold text-woad hover:underline"
          onClick={() => asUsual.mutate(undefined)}
        >
          as usual
        </button>
      )}
      <span className="block text-[13px] text-soft" hidden={one.free.seconds === 0}>
        from {one.begins}
      </span>
    </form>
  );
}

/** What other hours would change, and whether they are kept. */
export function WhatItChanges({ day: one, free }: { day: Day; free: FreeHours }) {
  if (!free.isOther) return null;
  return (
    <div role="status" className="no-print mb-2 rounded border-l-4 border-woad bg-woad-tint px-3 py-1.5">
      {free.wrong && <p className="text-madder">{free.wrong}</p>}
      {free.moved && free.moved.length === 0 && <p>It would change the day of no batch.</p>}
      {free.moved?.map((batch) => (
        <p key={batch.batchId}>
          <b>{batch.name}</b>: {moves(batch)}
        </p>
      ))}
      <button
        type="button"
        className="min-h-9 font-semibold text-woad hover:underline"
        onClick={free.keep}
      >{`Keep ${free.value.trim()} h on ${day(one.date)}`}</button>
      <button
        type="button"
        className="ml-4 min-h-9 font-semibold text-woad hover:underline"
        onClick={free.undo}
      >
        Undo
      </button>
    </div>
  );
}

function moves(batch: Schemas['MovedBatch']) {
  const said: string[] = [];
  if (batch.ready !== batch.then) {
    said.push(
      `ready ${batch.then ? day(batch.then) : 'never'} instead of ${batch.ready ? day(batch.ready) : 'never'}`,
    );
  }
  if (batch.surePercent !== batch.sureThen) {
    said.push(`${batch.sureThen ?? 0} % sure instead of ${batch.surePercent ?? 0} %`);
  }
  return said.join(', ');
}
