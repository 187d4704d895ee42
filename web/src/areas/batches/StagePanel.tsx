import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
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

/** What cutting leaves and is large enough to keep; sizes can be set right: it was 7 in, not 7 1/2. */
function Offcuts({
  kept,
  onChange,
  problem,
}: {
  kept: Kept[];
  onChange: (next: Kept[]) => void;
  problem?: string;
}) {
  const change = (index: number, next: Partial<Kept>) =>
    onChange(kept.map((one, i) => (i === index ? { ...one, ...next } : one)));
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
            onChange={(event) => change(index, { keep: event.target.checked })}
          />
          <span className="truncate">{one.name}</span>
          {(['width', 'height', 'count'] as const).map((key) => (
            <input
              key={key}
              className="field"
              aria-label={`${{ width: 'Across', height: 'Along', count: 'How many' }[key]}, offcut ${index + 1}`}
              value={one[key]}
              onChange={(event) => change(index, { [key]: event.target.value })}
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
  batch,
  sheet,
  onClose,
}: {
  kind: 'cut' | 'finish';
  batch: Schemas['BatchView'];
  sheet: Schemas['BatchSheet'];
  onClose: () => void;
}) {
  const units = useUnits();
  const [reason, setReason] = useState('');
  const [goodUnits, setGoodUnits] = useState(String(sheet.units));
  const [kept, setKept] = useState<Kept[]>(() =>
    sheet.leftOver.map((left) => ({
      materialId: left.materialId,
      name: left.name,
      width: left.width.exact,
      height: left.height.exact,
      count: String(left.count),
      place: '',
      keep: true,
    })),
  );
  const cutting = kind === 'cut';
  const leaving = sheet.needs.filter((need) => (need.kind === 'CLOTH') === cutting);
  const short = leaving.filter((need) => need.shortBy);
  const send = useSend(
    () =>
      api.post<Schemas['BatchView']>(`/api/batches/${batch.id}/${kind}`, {
        version: batch.version,
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
  return (
    <Panel
      title={cutting ? 'The cloth is cut' : 'The bags are finished'}
      open
      onOpenChange={(open) => !open && onClose()}
    >
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
          <Offcuts kept={kept} onChange={setKept} problem={send.problem?.errors[0]?.sentence} />
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
    </Panel>
  );
}
