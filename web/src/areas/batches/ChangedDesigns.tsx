import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { day } from '../../ui/units';
import { useSend } from '../../ui/useSend';

type Batch = Schemas['BatchView'];

/** Says which designs are another by now than those that a batch is planned with, and takes the changes over. */
export function ChangedDesigns({ batch }: { batch: Batch }) {
  const take = useSend((designId: number) =>
    api.post<Batch>(`/api/batches/${batch.id}/take-design`, { version: batch.version, designId }),
  );
  if (batch.changedDesigns.length === 0) return null;
  return (
    <div className="no-print mb-3 space-y-2">
      <ProblemNotice problem={take.problem} />
      {batch.changedDesigns.map((design) => (
        <Notice key={design.designId} look="care">
          “{design.name}” was changed on {day(design.on)}. This batch is still planned with it as it was
          before.{' '}
          <Button
            look="quiet"
            className="ml-2"
            disabled={take.isPending}
            onClick={() => take.mutate(design.designId)}
          >
            Take the change over
          </Button>
        </Notice>
      ))}
    </div>
  );
}
