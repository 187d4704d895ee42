import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, Problem, type Schemas } from '../../../api/client';
import { keys, useToday, useChannels } from '../../../api/queries';
import { Button } from '../../../ui/Button';
import { SelectField, TextField } from '../../../ui/Field';
import { Notice, ProblemNotice } from '../../../ui/Notice';
import { fullDay } from '../../../ui/units';
import { useDraft } from '../../../ui/useDraft';
import { useSend } from '../../../ui/useSend';
import { useSettled } from '../../../ui/useSettled';
import { useTitle } from '../../../ui/useTitle';
import { uuid } from '../../../ui/uuid';
import { DecisionPart } from './DecisionPart';
import { useQuotePaper } from './PaperPanel';
import { NEW_LINE, QuoteLine } from './QuoteLine';

type Form = Schemas['QuoteForm'];
type Quote = Schemas['QuoteView'];
type Figures = Schemas['QuoteFigures'];

const FAVOURS: { key: Form['favour']; name: string }[] = [
  { key: 'NONE', name: 'at the usual price' },
  { key: 'AT_COST', name: 'at what it costs (a favour)' },
  { key: 'MATERIAL', name: 'for its material; the work is a gift' },
];

/** A bag of which it is known which it is, and in which size. */
const isChosen = (line: Form['lines'][number]) => line.designId > 0 && line.sizeKey !== '';

/** A quote: what is asked for, what it comes to, and what becomes of it. */
export default function QuotePage() {
  const { id } = useParams();
  const channels = useChannels();
  const paper = useQuotePaper();
  const { data: quote, error } = useQuery({
    queryKey: [...keys.quotes, Number(id)],
    queryFn: () => api.get<Quote>(`/api/quotes/${id}`),
    enabled: id !== undefined,
  });
  useTitle(quote ? `Quote ${quote.id}` : 'New quote');
  if (error) return <ProblemNotice problem={error} />;
  if (!channels.data || !paper.data || (id !== undefined && !quote))
    return <p className="text-soft">Opening …</p>;
  // A private order usually goes through the channel that takes nothing.
  const usual =
    channels.data.find((one) => !one.putAway && one.terms.kind === 'BUYERS' && one.terms.fees.length === 0) ??
    channels.data.find((one) => one.usual);
  return (
    <Typed
      key={id ?? 'new'}
      quote={quote}
      begun={{
        requestId: '',
        version: 0,
        who: '',
        reach: '',
        channelId: usual?.id,
        favour: 'NONE',
        deposit: paper.data.deposit,
        note: '',
        lines: [NEW_LINE],
      }}
      channels={channels.data}
    />
  );
}

function Typed({
  quote,
  begun,
  channels,
}: {
  quote: Quote | undefined;
  begun: Form;
  channels: Schemas['ChannelView'][];
}) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const today = useToday();
  const [requestId] = useState(uuid);
  const stored = quote?.form ?? { ...begun, requestId };
  const draft = useDraft<Form>(`quote-${quote?.id ?? 'new'}`, stored);
  const form = draft.value ?? stored;
  const change = (next: Partial<Form>) => draft.update((before) => ({ ...before, ...next }));
  const changeLines = (next: (lines: Form['lines']) => Form['lines']) =>
    draft.update((before) => ({ ...before, lines: next(before.lines) }));
  const isOpen = !quote || quote.state === 'DRAFT' || quote.state === 'GIVEN';

  const complete = form.lines.every(isChosen);
  const asked = useSettled({ ...form, who: form.who.trim() || '–' }, 350);
  const preview = useQuery({
    queryKey: [...keys.quotes, 'preview', asked],
    queryFn: () => api.post<Figures>('/api/quotes/preview', asked),
    enabled: draft.isChanged && isOpen && asked.lines.every(isChosen),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const figures = draft.isChanged ? preview.data : quote?.figures;
  const saved = (next: Quote, sent: Form) => {
    client.setQueryData([...keys.quotes, next.id], next);
    if (quote) {
      draft.saved(sent, next.form);
    } else {
      draft.giveUp();
      void navigate(`/prices/quotes/${next.id}`, { replace: true });
    }
  };
  const store = (typed: Form, version = typed.version) =>
    quote
      ? api.put<Quote>(`/api/quotes/${quote.id}`, { ...typed, version })
      : api.post<Quote>('/api/quotes', typed);
  const save = useSend(
    ({ typed, version }: { typed: Form; version?: number }) => store(typed, version),
    (next, { typed }) => saved(next, typed),
  );
  const give = useSend(async (typed: Form) => {
    const before = draft.isChanged || !quote ? await store(typed) : quote;
    return api.post<Quote>(`/api/quotes/${before.id}/give`, { version: before.form.version });
  }, saved);
  const problem =
    save.problem ?? give.problem ?? (preview.error instanceof Problem ? preview.error : undefined);
  const on = (field: string) => problem?.errors.find((one) => one.field === field)?.sentence;
  const isPending = save.isPending || give.isPending;
  const last = quote?.versions.at(-1);
  return (
    <>
      <header className="mb-3">
        <Link className="inline-block min-h-6 text-soft hover:underline" to="/prices/quotes">
          Quotes
        </Link>
        <h1>{quote ? `Quote ${quote.id}${form.who && `, ${form.who}`}` : 'New quote'}</h1>
      </header>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_330px]">
        <fieldset disabled={!isOpen} className="min-w-0 space-y-3">
          <section className="sheet grid items-start gap-3 px-4 py-3 md:grid-cols-3" aria-label="Who asks">
            <TextField
              label="For whom"
              maxLength={120}
              value={form.who}
              error={on('who')}
              onChange={(event) => change({ who: event.target.value })}
            />
            <TextField
              label="How to reach them"
              maxLength={200}
              value={form.reach}
              onChange={(event) => change({ reach: event.target.value })}
            />
            <TextField
              label="Wanted by"
              type="date"
              min={today}
              value={form.by ?? ''}
              error={on('by')}
              onChange={(event) => change({ by: event.target.value || undefined })}
            />
            <SelectField
              label="Through"
              value={form.channelId ?? ''}
              onChange={(event) => change({ channelId: Number(event.target.value) })}
            >
              {channels
                .filter((channel) => !channel.putAway || channel.id === form.channelId)
                .map((channel) => (
                  <option key={channel.id} value={channel.id}>
                    {channel.terms.name}
                  </option>
                ))}
            </SelectField>
            <SelectField
              label="Price"
              value={form.favour}
              onChange={(event) => change({ favour: event.target.value as Form['favour'] })}
            >
              {FAVOURS.map((favour) => (
                <option key={favour.key} value={favour.key}>
                  {favour.name}
                </option>
              ))}
            </SelectField>
            <div className="grid grid-cols-2 gap-3">
              <TextField
                label="Deposit (%)"
                inputMode="decimal"
                value={form.deposit}
                error={on('deposit')}
                onChange={(event) => change({ deposit: event.target.value })}
              />
              <TextField
                label="Valid until"
                type="date"
                min={today}
                value={form.validUntil ?? ''}
                onChange={(event) => change({ validUntil: event.target.value || undefined })}
              />
            </div>
          </section>
          {form.lines.map((line, i) => (
            <QuoteLine
              key={i}
              line={line}
              number={i + 1}
              figures={figures?.lines[i]}
              problem={(field) => on(`lines.${i}.${field}`)}
              isOpen={isOpen}
              onChange={(next, design) =>
                changeLines((lines) =>
                  lines.map((one, j) =>
                    j === i && (design === undefined || one.designId === design) ? { ...one, ...next } : one,
                  ),
                )
              }
              onRemove={
                form.lines.length > 1
                  ? () => changeLines((lines) => lines.filter((_, j) => j !== i))
                  : undefined
              }
            />
          ))}
          {isOpen && form.lines.length < 20 && (
            <Button look="quiet" onClick={() => changeLines((lines) => [...lines, NEW_LINE])}>
              Add a bag
            </Button>
          )}
          <section className="sheet px-4 py-3">
            <label className="block">
              <span className="mb-1 block text-[13px] font-semibold text-soft">A note for the customer</span>
              <textarea
                rows={2}
                maxLength={600}
                className="field !h-auto py-2"
                value={form.note}
                onChange={(event) => change({ note: event.target.value })}
              />
            </label>
          </section>
        </fieldset>
        <div className="space-y-3 lg:sticky lg:top-0">
          {isOpen && <Comes figures={figures} by={form.by} />}
          {!draft.isChanged && quote?.trouble && <Notice look="care">{quote.trouble}</Notice>}
          {!draft.isChanged && last && figures?.total && last.total.minor !== figures.total.minor && (
            <Notice look="care">
              Version {last.number} says {last.total.amount}; calculated today it is {figures.total.amount}.
            </Notice>
          )}
          {problem?.isClash && (
            <Notice look="care">
              {problem.message} Saving again keeps what you typed; giving up keeps the other one.
            </Notice>
          )}
          {problem && !problem.isClash && problem.errors.length === 0 && <ProblemNotice problem={problem} />}
          {isOpen && (
            <div className="flex flex-wrap gap-2">
              <Button
                look="quiet"
                disabled={isPending || !complete || (quote && !draft.isChanged)}
                onClick={() => save.mutate({ typed: form, version: save.problem?.currentVersion })}
              >
                Save
              </Button>
              <Button
                disabled={isPending || !complete || (quote && !quote.changed && !draft.isChanged)}
                onClick={() => give.mutate(form)}
              >
                {quote && quote.versions.length > 0
                  ? `Give version ${quote.versions.length + 1}`
                  : 'Give to the customer'}
              </Button>
              {draft.isChanged && (
                <Button look="quiet" onClick={draft.giveUp}>
                  {quote ? 'Discard changes' : 'Empty the form'}
                </Button>
              )}
            </div>
          )}
          {quote && <DecisionPart quote={quote} isChanged={draft.isChanged} />}
        </div>
      </div>
    </>
  );
}

/** What the quote comes to, and by when it would be done. */
function Comes({ figures, by }: { figures: Figures | undefined; by: string | undefined }) {
  if (!figures) {
    return (
      <aside className="sheet px-4 py-3" aria-label="What it comes to">
        <p className="text-soft">Choose a bag, and here stands what it comes to.</p>
      </aside>
    );
  }
  const line = (words: string, amount: string | undefined, look = '') =>
    amount && (
      <div className={`flex items-baseline justify-between gap-3 ${look}`}>
        <dt>{words}</dt>
        <dd className="font-semibold">{amount}</dd>
      </div>
    );
  return (
    <aside className="sheet px-4 py-3" aria-label="What it comes to">
      <p className="text-[32px] leading-tight font-bold">{figures.total?.amount ?? 'no price yet'}</p>
      <p className="text-[13px] text-soft">is what the customer pays</p>
      <dl className="mt-2 space-y-1">
        {line('Deposit', figures.deposit && figures.deposit.minor > 0 ? figures.deposit.amount : undefined)}
        {line('When it is handed over', figures.deposit?.minor ? figures.rest?.amount : undefined)}
        {line('Hands-on time', figures.hours.text)}
        {line('Earned in an hour', figures.perHour?.amount)}
        {line('Given away', figures.given?.amount, 'text-weld')}
      </dl>
      <div className="mt-3 border-t border-dashed border-line-strong pt-2">
        {figures.likely ? (
          <p>
            Begun with what else is due, it is done by <b>{fullDay(figures.likely)}</b> in eight of ten cases
            {figures.ready &&
              figures.ready !== figures.likely &&
              `, on ${fullDay(figures.ready)} if all goes well`}
            .
          </p>
        ) : (
          <p className="text-soft">No day can be said: no free hours are entered, or too few.</p>
        )}
        {by && figures.sure !== undefined && (
          <p className={figures.sure < 50 ? 'font-semibold text-madder' : ''}>
            By {fullDay(by)}: {figures.sure === 100 ? 'more than 99' : figures.sure} in 100.
          </p>
        )}
        {figures.toBuy.length > 0 && (
          <p className="text-weld">To be bought first: {figures.toBuy.join(', ')}.</p>
        )}
      </div>
    </aside>
  );
}
