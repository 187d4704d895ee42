import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { keys, useBatchAsItIs } from '../../api/queries';
import { Button } from '../../ui/Button';
import { leavesWhenCut } from './stock';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';

interface Kept {
  materialId: number;
  name: string;
  width: string;
  height: string;
  count: string;
  place: string;
  keep: boolean;
}

/** What was set right of what the plan says is left, by what it says. */
type SetRight = Record<string, Partial<Kept>>;

const keyOf = (left: Schemas['LeftLine']) =>
  `${left.materialId} ${left.width.exact} ${left.height.exact} ${left.count}`;

/** What cutting leaves and is large enough to keep; sizes can be set right: it was 7 in, not 7 1/2. */
function Offcuts({
  kept,
  onChange,
  problem,
}: {
  kept: Kept[];
  onChange: (index: number, next: Partial<Kept>) => void;
  problem?: string;
}) {
  return (
    <fieldset>
      <legend className="font-semibold">Keep what is left?</legend>
      {kept.map((one, index) => (
        <div key={index} className="grid grid-cols-[auto_1fr_92px_92px_64px] items-center gap-2 py-1">
          <input
            type="checkbox"
            className="size-6"
            aria-label={`Keep ${one.count} of ${one.name}, ${one.width} by ${one.height}`}
            checked={one.keep}
            onChange={(event) => onChange(index, { keep: event.target.checked })}
          />
          <span className="truncate">{one.name}</span>
          {(['width', 'height', 'count'] as const).map((key) => (
            <input
              key={key}
              className="field"
              aria-label={`${{ width: 'Across', height: 'Along', count: 'How many' }[key]}, offcut ${index + 1}`}
              value={one[key]}
              onChange={(event) => onChange(index, { [key]: event.target.value })}
            />
          ))}
        </div>
      ))}
      {problem && <p className="text-[13px] text-madder">{problem}</p>}
    </fieldset>
  );
}

/** Says what leaves the shelf, and asks for a reason where the shelf doesn't hold it. */
export function StagePanel({
  kind,
  batchId,
  onClose,
}: {
  kind: 'cut' | 'finish';
  batchId: number;
  onClose: () => void;
}) {
  const { data: batch, error } = useBatchAsItIs(batchId);
  return (
    <Panel
      title={kind === 'cut' ? 'The cloth is cut' : 'The bags are finished'}
      open
      onOpenChange={(open) => !open && onClose()}
    >
      {batch ? (
        <Confirmation kind={kind} batch={batch} onClose={onClose} />
      ) : error ? (
        <ProblemNotice problem={error} />
      ) : (
        <p className="text-soft">Looking at the plan once more …</p>
      )}
    </Panel>
  );
}

function Confirmation({
  kind,
  batch,
  onClose,
}: {
  kind: 'cut' | 'finish';
  batch: Schemas['BatchView'];
  onClose: () => void;
}) {
  const { sheet } = batch;
  const units = useUnits();
  const client = useQueryClient();
  const [reason, setReason] = useState('');
  const [goodUnits, setGoodUnits] = useState(String(sheet.units));
  const [setRight, setSetRight] = useState<SetRight>({});
  const kept: Kept[] = sheet.leftOver.map((left) => ({
    materialId: left.materialId,
    name: left.name,
    width: left.width.exact,
    height: left.height.exact,
    count: String(left.count),
    place: '',
    keep: true,
    ...setRight[keyOf(left)],
  }));
  const change = (index: number, next: Partial<Kept>) => {
    const left = sheet.leftOver[index];
    if (left) setSetRight({ ...setRight, [keyOf(left)]: { ...setRight[keyOf(left)], ...next } });
  };
  const cutting = kind === 'cut';
  const leaving = sheet.needs.filter((need) => leavesWhenCut(need.kind) === cutting);
  const short = leaving.filter((need) => need.shortBy);
  const send = useSend(
    () =>
      api.post<Schemas['BatchView']>(`/api/batches/${batch.id}/${kind}`, {
        version: batch.version,
        mark: sheet.mark,
        reason,
        goodUnits,
        keep: cutting
          ? kept
              .filter((one) => one.keep)
              .map(({ materialId, width, height, count, place }) => ({
                materialId,
                width,
                height,
                count,
                place,
              }))
          : undefined,
      }),
    onClose,
  );
  const refused = send.problem;
  useEffect(() => {
    if (refused) void client.invalidateQueries({ queryKey: [...keys.batches, batch.id], exact: true });
  }, [refused, client, batch.id]);
  return (
    <form
      noValidate
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      <p className="text-soft">This leaves the shelf:</p>
      <table className="listing">
        <tbody>
          {leaving.map((need) => (
            <tr key={`${need.materialId}-${need.part}`}>
              <td>{need.name}</td>
              <td className="num">
                <b>{units.amount(need.needed)}</b>
              </td>
              <td className="num text-soft">of {units.amount(need.onHand)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {cutting && kept.length > 0 && (
        <Offcuts kept={kept} onChange={change} problem={send.problem?.errors[0]?.sentence} />
      )}
      {!cutting && (
        <TextField
          label={`How many of ${sheet.units} came out well?`}
          inputMode="numeric"
          value={goodUnits}
          onChange={(event) => setGoodUnits(event.target.value)}
          error={send.problem?.on('goodUnits')}
          hint="The others are spoiled; those that came out well carry their cost."
        />
      )}
      {(short.length > 0 || send.problem) && (
        <TextField
          label={
            short.length > 0
              ? 'The shelf doesn’t hold that much. Why is it there all the same?'
              : 'A reason, if it is right all the same'
          }
          value={reason}
          maxLength={300}
          onChange={(event) => setReason(event.target.value)}
          hint="For instance: a metre was never entered. Or close this and enter what is there first."
        />
      )}
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
      <Button type="submit" disabled={send.isPending}>
        {cutting ? 'It is cut' : 'They are finished'}
      </Button>
    </form>
  );
}
