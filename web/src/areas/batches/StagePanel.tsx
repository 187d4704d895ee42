import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';

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
  const cutting = kind === 'cut';
  const leaving = sheet.needs.filter((need) => (need.kind === 'CLOTH') === cutting);
  const short = leaving.filter((need) => need.shortBy);
  const send = useSend(
    () =>
      api.post<Schemas['BatchView']>(`/api/batches/${batch.id}/${kind}`, {
        version: batch.version,
        reason,
        goodUnits,
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
              <tr key={need.materialId}>
                <td>{need.name}</td>
                <td className="num">
                  <b>{units.amount(need.needed)}</b>
                </td>
                <td className="num text-soft">of {units.amount(need.onHand)}</td>
              </tr>
            ))}
          </tbody>
        </table>
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
        {short.length > 0 && (
          <TextField
            label="The shelf doesn’t hold that much. Why is it there all the same?"
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
