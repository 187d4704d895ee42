import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useCutPieces } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { More } from '../../ui/More';
import { FindField } from '../../ui/FindField';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { Swatch } from '../../ui/Roll';
import { useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { useTitle } from '../../ui/useTitle';

type Pieces = Schemas['UnsewnLine'];
type Kind = Schemas['UnsewnForm']['kind'];

const KINDS: { kind: Kind; says: string }[] = [
  { kind: 'GIVEN_AWAY', says: 'I gave them away' },
  { kind: 'THROWN_AWAY', says: 'I threw them away' },
];

/** Pieces of bags that a batch put by together. */
interface Group {
  key: string;
  designName: string;
  sizeName: string;
  batchId: number;
  pieces: Pieces[];
}

function groupsOf(pieces: Pieces[]): Group[] {
  const groups: Group[] = [];
  pieces.forEach((one) => {
    const key = `${one.batchId} ${one.designName} ${one.sizeName}`;
    const last = groups.find((group) => group.key === key);
    if (last) last.pieces.push(one);
    else groups.push({ key, ...one, pieces: [one] });
  });
  return groups;
}

/** What is cut and not sewn, by design, size, cloth and piece. */
export default function CutPiecesPage() {
  useTitle('Cut, not sewn');
  const units = useUnits();
  const [find, setFind] = useState('');
  const found = useCutPieces(useSettled(find, 150));
  const [leaving, setLeaving] = useState<Group>();
  if (found.error) return <ProblemNotice problem={found.error} />;
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1>Cut, not sewn</h1>
          {found.first && found.first.page.total > 0 && (
            <p className="text-soft">
              worth{' '}
              <b className="text-ink">
                {found.first.total.amount} {units.currency}
              </b>
              , what their cloth cost
            </p>
          )}
        </div>
        <FindField
          label="Find cut pieces"
          placeholder="Design, size, piece …"
          value={find}
          onType={setFind}
        />
      </header>
      {found.items?.length === 0 && (
        <section className="sheet max-w-[640px] p-5">
          <h2>{find ? 'No cut pieces have these words' : 'No cut pieces yet'}</h2>
          <p className="text-soft">
            Pieces come here when some bags of a batch that is cut aren’t made. They are offered first when
            such bags are planned again.
          </p>
        </section>
      )}
      {groupsOf(found.items ?? []).map((group) => (
        <section
          key={group.key}
          className="sheet mb-3 px-3 py-2.5"
          aria-label={`${group.designName}, batch ${group.batchId}`}
        >
          <div className="flex flex-wrap items-center justify-between gap-3">
            <h2>
              {group.designName}, {group.sizeName}{' '}
              <Link
                className="inline-block min-h-6 text-[13px] font-semibold text-woad hover:underline"
                to={`/batches/${group.batchId}`}
              >
                batch {group.batchId}
              </Link>
            </h2>
            <Button
              look="quiet"
              aria-label={`${group.designName}, ${group.sizeName} of batch ${group.batchId} leave`}
              onClick={() => setLeaving(group)}
            >
              They leave …
            </Button>
          </div>
          <table className="listing">
            <thead>
              <tr>
                <th>Piece</th>
                <th>Cloth</th>
                <th className="num">Across</th>
                <th className="num">Along</th>
                <th className="num">In stock</th>
                <th className="num">For a bag</th>
                <th className="num">Worth</th>
              </tr>
            </thead>
            <tbody>
              {group.pieces.map((one) => (
                <tr key={one.id}>
                  <td>
                    <b>{one.letter}</b> {one.pieceName}
                  </td>
                  <td>
                    <span className="flex items-center gap-2">
                      <Swatch kind="CLOTH" colour={one.colour} />
                      {one.clothName}
                    </span>
                  </td>
                  <td className="num">{units.own(one.width)}</td>
                  <td className="num">{units.own(one.height)}</td>
                  <td className="num text-[18px] font-bold">
                    {one.pieces}
                    {one.held > 0 && (
                      <span className="block text-[13px] font-normal text-soft">
                        {one.held} for a planned batch
                      </span>
                    )}
                  </td>
                  <td className="num">{one.perBag}</td>
                  <td className="num">{one.worth.amount}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ))}
      <More list={found} />
      {leaving && <LeavePanel key={leaving.key} group={leaving} onClose={() => setLeaving(undefined)} />}
    </>
  );
}

/** Pieces leave the shelf by hand: those of whole bags, or so many of one kind. */
function LeavePanel({ group, onClose }: { group: Group; onClose: () => void }) {
  const request = useRequestId();
  const [kind, setKind] = useState<Kind>('GIVEN_AWAY');
  const [only, setOnly] = useState('');
  const [count, setCount] = useState('');
  const [reason, setReason] = useState('');
  const send = useSend(
    () =>
      api.post<void>('/api/cut-pieces/movements', {
        requestId: request.id,
        kind,
        ids: only ? [Number(only)] : group.pieces.map((one) => one.id),
        count,
        forBags: !only,
        reason,
      }),
    onClose,
  );
  return (
    <Panel title={`${group.designName}, ${group.sizeName}`} open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <p className="text-soft">
          To sell them, bundle them to kits at{' '}
          <Link className="font-semibold text-woad underline" to={`/batches/${group.batchId}`}>
            batch {group.batchId}
          </Link>
          : then they are goods with a price.
        </p>
        <SelectField
          label="What happens"
          value={kind}
          onChange={(event) => setKind(event.target.value as Kind)}
          error={send.problem?.on('kind')}
        >
          {KINDS.map((one) => (
            <option key={one.kind} value={one.kind}>
              {one.says}
            </option>
          ))}
        </SelectField>
        <SelectField label="Which pieces" value={only} onChange={(event) => setOnly(event.target.value)}>
          <option value="">all pieces of a bag</option>
          {group.pieces.map((one) => (
            <option key={one.id} value={one.id}>
              only {one.letter}, {one.pieceName}, in {one.clothName}
            </option>
          ))}
        </SelectField>
        <TextField
          label={only ? 'How many' : 'For how many bags'}
          inputMode="numeric"
          value={count}
          onChange={(event) => setCount(event.target.value)}
          error={send.problem?.on('count')}
        />
        <TextField
          label="A note, if you like"
          value={reason}
          maxLength={300}
          onChange={(event) => setReason(event.target.value)}
        />
        {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
        <Button type="submit" disabled={send.isPending}>
          They are gone
        </Button>
      </form>
    </Panel>
  );
}
