import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { SelectField, TextField } from '../../../ui/Field';
import { Notice, ProblemNotice } from '../../../ui/Notice';
import { Panel } from '../../../ui/Panel';
import { Tag } from '../../../ui/Tag';
import { fullDay } from '../../../ui/units';
import { useRequestId, useSend } from '../../../ui/useSend';

type Quote = Schemas['QuoteView'];

/** What was given to the customer, and what became of it. */
export function DecisionPart({ quote, isChanged }: { quote: Quote; isChanged: boolean }) {
  const [asking, setAsking] = useState<'accept' | 'decline'>();
  const openAgain = useSend(() =>
    api.post<Quote>(`/api/quotes/${quote.id}/open-again`, { version: quote.form.version }),
  );
  return (
    <section className="sheet space-y-2 px-4 py-3" aria-label="Given to the customer">
      <h2>Given to the customer</h2>
      {quote.versions.length === 0 && <p className="text-soft">Nothing yet.</p>}
      <ul>
        {[...quote.versions].reverse().map((version) => (
          <li
            key={version.number}
            className="flex flex-wrap items-center justify-between gap-2 border-t border-line-faint py-1"
          >
            <span>
              Version {version.number}, {fullDay(version.givenOn)}: <b>{version.total.amount}</b>
              <span className="block text-[13px] text-soft">
                {version.isOver ? 'was valid until' : 'valid until'} {fullDay(version.validUntil)}
              </span>
            </span>
            <a
              className="min-h-11 content-center px-2 font-semibold text-woad hover:underline"
              href={`/api/quotes/${quote.id}/versions/${version.number}/quote.pdf`}
            >
              PDF
            </a>
          </li>
        ))}
      </ul>
      {quote.state === 'GIVEN' && (
        <div className="flex flex-wrap gap-2">
          <Button disabled={isChanged} onClick={() => setAsking('accept')}>
            Accepted
          </Button>
          <Button look="quiet" disabled={isChanged} onClick={() => setAsking('decline')}>
            Declined
          </Button>
        </div>
      )}
      {quote.state === 'DRAFT' && (
        <Button look="quiet" disabled={isChanged} onClick={() => setAsking('decline')}>
          Nothing comes of it
        </Button>
      )}
      {quote.state === 'DECLINED' && (
        <>
          <Notice look="care">Declined{quote.reason && `: ${quote.reason}`}</Notice>
          <Button look="quiet" onClick={() => openAgain.mutate(undefined)} disabled={openAgain.isPending}>
            Open it again
          </Button>
          <ProblemNotice problem={openAgain.problem} />
        </>
      )}
      {quote.order && <Ordered order={quote.order} />}
      {asking === 'accept' && <AcceptPanel quote={quote} onClose={() => setAsking(undefined)} />}
      {asking === 'decline' && <DeclinePanel quote={quote} onClose={() => setAsking(undefined)} />}
    </section>
  );
}

function Ordered({ order }: { order: Schemas['CustomerOrderView'] }) {
  return (
    <div className="space-y-1 border-t border-dashed border-line-strong pt-2">
      <p>
        <Tag look="ok">accepted</Tag> Order {order.id}, version {order.quoteNumber}
      </p>
      {order.lines.map((line, i) => (
        <p key={i}>{line}</p>
      ))}
      <div className="flex gap-4">
        <Link
          className="inline-block min-h-6 font-semibold text-woad hover:underline"
          to={`/stalls/orders/${order.id}`}
        >
          To the order
        </Link>
        {order.batchId !== undefined && (
          <Link
            className="inline-block min-h-6 font-semibold text-woad hover:underline"
            to={`/batches/${order.batchId}`}
          >
            Batch {order.batchId}
          </Link>
        )}
      </div>
    </div>
  );
}

function AcceptPanel({ quote, onClose }: { quote: Quote; onClose: () => void }) {
  const { id: requestId } = useRequestId();
  const [number, setNumber] = useState(quote.versions.length);
  const version = quote.versions.find((one) => one.number === number);
  const [units, setUnits] = useState<Record<string, string>>({});
  const chosen = (i: number, usual: number) => units[`${number} ${i}`] ?? String(usual);
  const accept = useSend(
    () =>
      api.post<Quote>(`/api/quotes/${quote.id}/accept`, {
        requestId,
        version: quote.form.version,
        number,
        units: version?.lines.map((line, i) => chosen(i, line.units)) ?? [],
      }),
    onClose,
  );
  return (
    <Panel title="Accepted" open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          accept.mutate(undefined);
        }}
      >
        {quote.versions.length > 1 && (
          <SelectField
            label="Which version"
            value={number}
            onChange={(event) => setNumber(Number(event.target.value))}
          >
            {quote.versions.map((one) => (
              <option key={one.number} value={one.number}>
                Version {one.number}, {one.total.amount}
              </option>
            ))}
          </SelectField>
        )}
        {version?.isOver && (
          <Notice look="care">
            It was valid until {fullDay(version.validUntil)}. You may still take it.
          </Notice>
        )}
        {version?.lines.map((line, i) => (
          <SelectField
            key={i}
            label={`How many: ${line.about}`}
            value={chosen(i, line.units)}
            error={accept.problem?.errors.find((one) => one.field === `units.${i}`)?.sentence}
            onChange={(event) => setUnits({ ...units, [`${number} ${i}`]: event.target.value })}
          >
            {[line.units, ...line.others]
              .sort((one, other) => one - other)
              .map((one) => (
                <option key={one} value={one}>
                  {one}
                </option>
              ))}
          </SelectField>
        ))}
        <p className="text-soft">
          It becomes an order, and a batch is planned with these bags at the agreed price.
        </p>
        {accept.problem && accept.problem.errors.length === 0 && <ProblemNotice problem={accept.problem} />}
        <Button type="submit" disabled={accept.isPending}>
          Make the order
        </Button>
      </form>
    </Panel>
  );
}

function DeclinePanel({ quote, onClose }: { quote: Quote; onClose: () => void }) {
  const [reason, setReason] = useState('');
  const decline = useSend(
    () => api.post<Quote>(`/api/quotes/${quote.id}/decline`, { version: quote.form.version, reason }),
    onClose,
  );
  return (
    <Panel title="Declined" open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          decline.mutate(undefined);
        }}
      >
        <TextField
          label="Why, as far as you know"
          maxLength={500}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
        <ProblemNotice problem={decline.problem} />
        <Button type="submit" disabled={decline.isPending}>
          Save
        </Button>
      </form>
    </Panel>
  );
}
