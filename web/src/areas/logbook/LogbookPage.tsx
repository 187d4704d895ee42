import { useInfiniteQuery } from '@tanstack/react-query';
import { Tabs } from 'radix-ui';
import { lazy, Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { Button, ButtonLink } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { fullDay } from '../../ui/units';
import { useSettled } from '../../ui/useSettled';
import { useTitle } from '../../ui/useTitle';
import { AllNotes } from './AllNotes';
import { TimesPanel } from './TimesPanel';
import { Upkeep } from './Upkeep';

const Figures = lazy(() => import('./Figures'));

type Line = Schemas['LogLine'];
type Kind = Line['kind'];

const KINDS: Record<Kind, string> = {
  WORK: 'work',
  SET_UP: 'set-ups',
  SLIP: 'slips',
  NOTE: 'notes',
  BATCH: 'batches',
  STOCK: 'the shelf',
  GOODS: 'finished bags',
  UPKEEP: 'upkeep',
};

/** What happened, and what it adds up to. */
export default function LogbookPage() {
  useTitle('Logbook');
  const [params] = useSearchParams();
  const [tab, setTab] = useState(params.get('tab') ?? 'book');
  return (
    <Tabs.Root value={tab} onValueChange={setTab}>
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <h1>Logbook</h1>
        <Tabs.List aria-label="Parts of the logbook" className="flex gap-1">
          {(
            [
              ['book', 'Day by day'],
              ['figures', 'Figures'],
              ['notes', 'Notes'],
              ['upkeep', 'Upkeep'],
            ] as const
          ).map(([key, name]) => (
            <Tabs.Trigger
              key={key}
              value={key}
              className="min-h-11 border-b-4 border-dashed border-transparent px-3 font-semibold text-soft data-[state=active]:border-woad-mid data-[state=active]:text-ink"
            >
              {name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <ButtonLink look="quiet" to="/year">
          What the year says
        </ButtonLink>
      </header>
      <Tabs.Content value="book">
        <Book />
      </Tabs.Content>
      <Tabs.Content value="figures">
        <Suspense fallback={<p className="text-soft">Adding up …</p>}>
          <Figures />
        </Suspense>
      </Tabs.Content>
      <Tabs.Content value="notes">
        <AllNotes />
      </Tabs.Content>
      <Tabs.Content value="upkeep">
        <Upkeep />
      </Tabs.Content>
    </Tabs.Root>
  );
}

function Book() {
  const [query, setQuery] = useState('');
  const [kind, setKind] = useState<Kind | ''>('');
  const words = useSettled(query, 200);
  const [opened, setOpened] = useState<Line>();
  const { data, error, fetchNextPage, hasNextPage, isFetching } = useInfiniteQuery({
    queryKey: ['logbook', words, kind],
    initialPageParam: '',
    queryFn: ({ pageParam }) =>
      api.get<Schemas['LogbookView']>(
        `/api/logbook?query=${encodeURIComponent(words)}${kind && `&kind=${kind}`}${pageParam && `&before=${pageParam}`}`,
      ),
    getNextPageParam: (last) => last.next ?? undefined,
  });
  const days = data?.pages.flatMap((page) => page.days) ?? [];
  return (
    <>
      <div className="mb-3 flex flex-wrap items-end gap-3">
        <div className="w-[280px]">
          <TextField
            label="Find"
            placeholder="a step, a design, a reason, a batch’s number …"
            maxLength={120}
            value={query}
            onChange={(event) => setQuery(event.target.value)}
          />
        </div>
        <div className="w-[160px]">
          <SelectField
            label="Only"
            value={kind}
            onChange={(event) => setKind(event.target.value as Kind | '')}
          >
            <option value="">everything</option>
            {Object.entries(KINDS).map(([key, name]) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </SelectField>
        </div>
        <a
          href="/api/logbook/bench-log.csv"
          download
          className="ml-auto inline-flex min-h-11 items-center font-semibold text-woad hover:underline"
        >
          The bench’s log as CSV
        </a>
      </div>
      {error && <ProblemNotice problem={error} />}
      {data && days.length === 0 && (
        <p className="sheet p-4 text-soft">
          {words || kind
            ? 'Nothing like that is in the logbook.'
            : 'Nothing has happened yet. Plan a batch and begin it at the bench: it is written down by itself.'}
        </p>
      )}
      <div className="sheet divide-y divide-line">
        {days.map((day) => (
          <section key={day.day} aria-label={fullDay(day.day)} className="grid md:grid-cols-[164px_1fr]">
            <div className="border-madder/40 px-4 py-3 md:border-r-2">
              <h2 className="text-base">{fullDay(day.day)}</h2>
              {day.worked.seconds > 0 && <p className="text-soft">{day.worked.text} at the bench</p>}
            </div>
            <ol className="min-w-0 divide-y divide-line-faint px-4 py-1.5">
              {day.lines.map((line, i) => (
                <li key={i} className="flex items-baseline gap-3 py-1.5">
                  <span className="w-11 shrink-0 text-right text-[13px] text-soft">{line.time}</span>
                  <span
                    className={`min-w-0 flex-1 break-words ${line.kind === 'SLIP' ? 'text-madder' : ''} ${line.kind === 'NOTE' ? 'bg-weld-tint' : ''}`}
                  >
                    {line.sentence}
                  </span>
                  {line.sitting && (
                    <button
                      type="button"
                      className="-my-1.5 min-h-9 shrink-0 px-1 font-semibold text-woad hover:underline"
                      aria-label={`Times of ${line.sentence}`}
                      onClick={() => setOpened(line)}
                    >
                      times
                    </button>
                  )}
                  {line.batchId ? (
                    <Link
                      to={`/batches/${line.batchId}`}
                      className="shrink-0 px-1 text-woad hover:underline"
                      aria-label={`Batch ${line.batchId}`}
                    >
                      {line.batchId}
                    </Link>
                  ) : (
                    line.materialId && (
                      <Link
                        to={`/materials/${line.materialId}`}
                        className="shrink-0 px-1 text-woad hover:underline"
                      >
                        shelf
                      </Link>
                    )
                  )}
                </li>
              ))}
            </ol>
          </section>
        ))}
      </div>
      {hasNextPage && (
        <div className="mt-3 text-center">
          <Button look="quiet" disabled={isFetching} onClick={() => void fetchNextPage()}>
            Earlier days
          </Button>
        </div>
      )}
      {opened?.sitting && (
        <TimesPanel title={opened.sentence} sitting={opened.sitting} onClose={() => setOpened(undefined)} />
      )}
    </>
  );
}
