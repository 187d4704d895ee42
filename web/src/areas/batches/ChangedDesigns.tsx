import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Differences } from '../../ui/Differences';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { day } from '../../ui/units';
import { useSend } from '../../ui/useSend';

type Batch = Schemas['BatchView'];
type Changed = Schemas['ChangedDesignView'];

/** Says which designs are another by now than those that a batch is planned with, and takes the changes over. */
export function ChangedDesigns({ batch }: { batch: Batch }) {
  const [opened, setOpened] = useState<Changed>();
  const take = useSend(
    (designId: number) =>
      api.post<Batch>(`/api/batches/${batch.id}/take-design`, { version: batch.version, designId }),
    () => setOpened(undefined),
  );
  if (batch.changedDesigns.length === 0) return null;
  return (
    <div className="no-print mb-3 space-y-2">
      {!opened && <ProblemNotice problem={take.problem} />}
      {batch.changedDesigns.map((design) => (
        <Notice key={design.designId} look="care">
          “{design.name}” was changed on {day(design.on)}. This batch is still planned with it as it was
          before.{' '}
          <Button look="quiet" className="ml-2" onClick={() => setOpened(design)}>
            What is different
          </Button>
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
      {opened && (
        <Panel
          title={`“${opened.name}”, changed since this batch was planned`}
          open
          onOpenChange={(open) => !open && setOpened(undefined)}
          wide
        >
          <WhatIsOther design={opened} />
          <ProblemNotice problem={take.problem} />
          <div className="mt-4 flex justify-end">
            <Button disabled={take.isPending} onClick={() => take.mutate(opened.designId)}>
              Take the change over
            </Button>
          </div>
        </Panel>
      )}
    </div>
  );
}

function WhatIsOther({ design }: { design: Changed }) {
  const { data, error } = useQuery({
    queryKey: ['revisions', design.designId, design.plannedWith, design.latest],
    queryFn: () =>
      api.get<Schemas['RevisionComparison']>(
        `/api/designs/${design.designId}/revisions/${design.plannedWith}/to/${design.latest}`,
      ),
  });
  if (error) return <ProblemNotice problem={error} />;
  return data ? <Differences differences={data.differences} /> : <p className="text-soft">Comparing …</p>;
}
