import { memo, useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { useStockTake } from '../../api/queries';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { FindField } from '../../ui/FindField';
import { More } from '../../ui/More';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Swatch } from '../../ui/Roll';
import { useUnits } from '../../ui/units';
import { useDraft } from '../../ui/useDraft';
import { useRequestId, useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { useTitle } from '../../ui/useTitle';
import { uuid } from '../../ui/uuid';
import { typedAs } from './words';

type Line = Schemas['CountLine'];

interface Walk {
  requestId: string;
  counted: Record<string, { there: string; book: number }>;
}

const keyOf = (line: Line) => `${line.materialId}-${line.lotId ?? ''}-${line.part}`;

/** The line that was typed in, also when it isn't shown any more. */
const ofKey = (key: string) => {
  const [materialId, lotId, part] = key.split('-');
  return { materialId: Number(materialId), lotId: lotId ? Number(lotId) : undefined, part };
};

const filled = (walk: Walk) => Object.entries(walk.counted).filter(([, { there }]) => there.trim());

/** A walk along the shelf: what is there is typed place by place, and differences become movements. */
export default function StockTakePage() {
  useTitle('Stock-take');
  const request = useRequestId();
  const [place, setPlace] = useState<string>();
  const [reason, setReason] = useState('stock-take');
  const [done, setDone] = useState<Schemas['StockTakeDone']>();
  const [find, setFind] = useState('');
  const found = useStockTake(useSettled(find, 150), place);
  const draft = useDraft<Walk>('mardun.stock-take', { requestId: request.id, counted: {} });
  const walk = draft.value as Walk;
  const counted = filled(walk);
  const send = useSend(
    (sent: Walk) =>
      api.post<Schemas['StockTakeDone']>('/api/stock-takes', {
        requestId: sent.requestId,
        reason,
        lines: filled(sent).map(([key, { there, book }]) => ({
          ...ofKey(key),
          bookValue: book,
          there,
          reason: '',
        })),
      }),
    (result, sent) => {
      setDone(result);
      const requestId = uuid();
      draft.update((now) => ({
        requestId,
        counted: Object.fromEntries(
          Object.entries(now.counted).filter(([key, { there }]) => there !== sent.counted[key]?.there),
        ),
      }));
    },
  );
  if (found.error) return <ProblemNotice problem={found.error} />;
  if (!found.items) return <p className="text-soft">Opening …</p>;
  const type = (line: Line, there: string) => {
    setDone(undefined);
    draft.update(({ requestId, counted }) => ({
      requestId,
      counted: { ...counted, [keyOf(line)]: { there, book: line.book.value } },
    }));
  };
  const sentKeys = send.variables ? filled(send.variables).map(([key]) => key) : [];
  const wrong = (line: Line) => send.problem?.on(`lines.${sentKeys.indexOf(keyOf(line))}.there`);
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1>Stock-take</h1>
          <p className="text-soft">
            Walk along the shelf and type what is there; leave out what you don’t look at. The page keeps what
            you typed.
          </p>
        </div>
        <div className="flex flex-wrap items-end gap-2.5">
          <TextField
            label="Why things differ"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
          <Button
            disabled={counted.length === 0 || send.isPending}
            onClick={() => !send.isPending && send.mutate(walk)}
          >
            Enter {counted.length} counted
          </Button>
        </div>
      </header>
      {done && (
        <Notice look="care">
          {done.counted} counted, {done.differences} differed and were set right.
        </Notice>
      )}
      <ProblemNotice problem={send.problem} />
      <div className="my-2">
        <FindField label="Find what to count" placeholder="Find by name" value={find} onType={setFind} />
      </div>
      <div className="mb-3 flex flex-wrap gap-2" role="group" aria-label="Places">
        {[undefined, ...(found.first?.places ?? [])].map((one) => (
          <button
            key={one ?? 'everywhere'}
            type="button"
            aria-pressed={place === one}
            onClick={() => setPlace(one)}
            className={`min-h-11 rounded border px-4 font-semibold ${
              place === one ? 'border-ink bg-ink text-white' : 'border-line-strong bg-white'
            }`}
          >
            {one === undefined ? 'Everywhere' : one === '' ? 'No place given' : one}
          </button>
        ))}
      </div>
      <ul className="grid grid-cols-1 gap-2.5 md:grid-cols-2 xl:grid-cols-3">
        {found.items.map((line) => (
          <CountRow
            key={keyOf(line)}
            line={line}
            there={walk.counted[keyOf(line)]?.there ?? ''}
            error={wrong(line)}
            onType={type}
          />
        ))}
      </ul>
      {found.items.length === 0 && (
        <p className="text-soft">
          {find.trim() ? 'Nothing by that name lies here.' : 'There is nothing to count here.'}
        </p>
      )}
      <More list={found} />
    </>
  );
}

/** One thing to count. A key that is typed draws only its own row anew, however long the shelf is. */
const CountRow = memo(
  function CountRow({
    line,
    there,
    error,
    onType,
  }: {
    line: Line;
    there: string;
    error: string | undefined;
    onType: (line: Line, there: string) => void;
  }) {
    const units = useUnits();
    return (
      <li className="sheet flex items-start gap-3 p-3">
        <Swatch kind={line.kind} colour={line.colour} />
        <div className="min-w-0 flex-1">
          <div className="font-semibold break-words">{line.name}</div>
          <div className="text-[13px] text-soft">
            {line.size && `${line.size} · `}
            in the book {units.amount(line.book)}
          </div>
        </div>
        <div className="w-[128px]">
          <TextField
            label={`There is of ${line.name}${line.size ? `, ${line.size}` : ''}`}
            hideLabel
            hint={line.lotId !== undefined ? 'pieces' : typedAs(line.kind, units.cloth).split(';')[0]}
            className="h-12 text-[18px] font-bold"
            inputMode={line.book.count !== undefined ? 'numeric' : 'text'}
            value={there}
            onChange={(event) => onType(line, event.target.value)}
            error={error}
          />
        </div>
      </li>
    );
  },
  (before, now) => before.line === now.line && before.there === now.there && before.error === now.error,
);
