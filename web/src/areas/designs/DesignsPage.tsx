import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useDesigns } from '../../api/queries';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';

export default function DesignsPage() {
  const { data, error } = useDesigns();
  const [beginning, setBeginning] = useState(false);
  const units = useUnits();
  if (error) return <ProblemNotice problem={error} />;
  return (
    <>
      <header className="mb-4 flex items-center justify-between">
        <h1>Designs</h1>
        <Button onClick={() => setBeginning(true)}>New zip pouch</Button>
      </header>
      {data?.items.length === 0 && (
        <section className="sheet max-w-[640px] p-5">
          <h2>No design yet</h2>
          <p className="mt-1 text-soft">
            Begin with the lined, boxed zip pouch: Mardun brings its pieces, zip, interfacing and steps, you
            give it your own measurements.
          </p>
        </section>
      )}
      <ul className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
        {data?.items.map((design) => (
          <li key={design.id}>
            <Link to={`/designs/${design.id}`} className="sheet block p-4 hover:bg-woad-tint">
              <b className="text-lg">{design.name}</b>
              <span className="block text-soft">{design.sizes.join(', ')}</span>
              {design.finished && (
                <span className="mt-2 block">
                  {units.own(design.finished.width.value)} × {units.own(design.finished.height.value)} ×{' '}
                  {units.own(design.finished.depth.value)}
                  <span className="text-soft"> finished</span>
                </span>
              )}
              {design.ticket && (
                <span className="mt-2 flex gap-5 border-t border-line-faint pt-2">
                  <span>
                    <span className="block text-[13px] text-soft">costs</span>
                    <b>{design.ticket.cost.value.amount}</b>
                  </span>
                  <span>
                    <span className="block text-[13px] text-soft">at the stall</span>
                    <b>{design.ticket.price.amount}</b>
                  </span>
                  {design.ticket.perHour && (
                    <span>
                      <span className="block text-[13px] text-soft">left for an hour</span>
                      <b>{design.ticket.perHour.value.amount}</b>
                    </span>
                  )}
                </span>
              )}
            </Link>
          </li>
        ))}
      </ul>
      <BeginPanel open={beginning} onOpenChange={setBeginning} />
    </>
  );
}

function BeginPanel({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const [name, setName] = useState('');
  const request = useRequestId();
  const navigate = useNavigate();
  const send = useSend(
    () => api.post<Schemas['DesignView']>('/api/designs', { requestId: request.id, name }),
    (design) => navigate(`/designs/${design.id}`),
  );
  return (
    <Panel title="A lined, boxed zip pouch" open={open} onOpenChange={onOpenChange}>
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <TextField
          label="What do you call it?"
          value={name}
          onChange={(event) => setName(event.target.value)}
          error={send.problem?.on('name')}
          hint="It starts in two sizes with your usual seam; you change every measurement next."
        />
        {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
        <Button type="submit" disabled={send.isPending}>
          Begin
        </Button>
      </form>
    </Panel>
  );
}
