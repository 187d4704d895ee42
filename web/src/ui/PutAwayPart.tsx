import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../api/client';
import { Button } from './Button';
import { ProblemNotice } from './Notice';
import { Panel } from './Panel';
import { useSend } from './useSend';

interface Thing {
  name: string;
  version: number;
  putAway: boolean;
}

/** Puts something away that isn't used any more, takes it back, or removes it for good if nothing ever used it. */
export function PutAwayPart({
  thing,
  path,
  list,
  hint,
}: {
  thing: Thing;
  path: string;
  list: string;
  hint: string;
}) {
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const put = useSend(() => api.put(`${path}/put-away`, { version: thing.version, putAway: !thing.putAway }));
  const remove = useSend(
    () => api.remove(`${path}?version=${thing.version}`),
    () => navigate(list),
  );
  const close = () => {
    setAsking(false);
    remove.reset();
  };
  return (
    <>
      <h2>{thing.putAway ? 'It is put away' : 'No longer used?'}</h2>
      <p className="mb-2 text-soft">
        {thing.putAway ? 'It is offered nowhere. Take it back to use it again.' : hint}
      </p>
      <div className="flex flex-wrap gap-2.5">
        <Button
          look="quiet"
          disabled={put.isPending}
          onClick={() => {
            if (!put.isPending) put.mutate(undefined);
          }}
        >
          {thing.putAway ? 'Take it back' : 'Put it away'}
        </Button>
        <Button look="quiet" onClick={() => setAsking(true)}>
          Remove it …
        </Button>
      </div>
      <ProblemNotice problem={put.problem} />
      {asking && (
        <Panel title={`Remove ${thing.name}?`} open onOpenChange={(open) => !open && close()}>
          <div className="space-y-3">
            <p>It goes for good. This can be done only as long as nothing was made with it.</p>
            <ProblemNotice problem={remove.problem} />
            <Button
              disabled={remove.isPending}
              onClick={() => {
                if (!remove.isPending) remove.mutate(undefined);
              }}
            >
              Remove it for good
            </Button>
          </div>
        </Panel>
      )}
    </>
  );
}
