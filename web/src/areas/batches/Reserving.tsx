import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { useSend } from '../../ui/useSend';

/** Holds material for a batch, gives it back, and says what goes short. */
export function Reserving({ batch, sheet }: { batch: Schemas['BatchView']; sheet: Schemas['BatchSheet'] }) {
  const [missing, setMissing] = useState<string[]>([]);
  const reserve = useSend(
    () => api.post<Schemas['BatchReserved']>(`/api/batches/${batch.id}/reserve`, { version: batch.version }),
    (reserved) => setMissing(reserved.missing),
  );
  const release = useSend(
    () => api.post<Schemas['BatchView']>(`/api/batches/${batch.id}/release`, { version: batch.version }),
    () => setMissing([]),
  );
  const coming = sheet.needs.filter((need) => !need.taken);
  const holds = coming.some((need) => need.held.value > 0);
  const holdsAll = coming.every((need) => need.held.value >= need.needed.value);
  return (
    <div className="no-print mt-2 space-y-2">
      <div className="flex flex-wrap gap-2.5">
        {!holdsAll && (
          <Button
            look="quiet"
            disabled={reserve.isPending}
            onClick={() => !reserve.isPending && reserve.mutate(undefined)}
          >
            {holds ? 'Hold the rest too' : 'Hold it for this batch'}
          </Button>
        )}
        {holds && (
          <Button
            look="quiet"
            disabled={release.isPending}
            onClick={() => !release.isPending && release.mutate(undefined)}
          >
            Give it back
          </Button>
        )}
      </div>
      {missing.map((sentence) => (
        <Notice key={sentence} look="care">
          {sentence}
        </Notice>
      ))}
      <ProblemNotice problem={reserve.problem ?? release.problem} />
    </div>
  );
}
