import { useState } from 'react';
import { api, type Schemas } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Notice, ProblemNotice } from '../../../ui/Notice';
import { Panel } from '../../../ui/Panel';
import { useRequestId, useSend } from '../../../ui/useSend';

type Reseller = Schemas['ResellerView'];
type Lying = Schemas['LyingThere'];

/** Which bags go there from home, or come back; what is advised stands there already. */
export function BringPanel({
  reseller,
  back,
  onClose,
}: {
  reseller: Reseller;
  back: boolean;
  onClose: () => void;
}) {
  const request = useRequestId();
  const [typed, setTyped] = useState<Record<string, string>>({});
  const there = (bag: Lying) => (back ? bag.there : bag.home);
  const bags = reseller.bags.filter((bag) => there(bag) > 0);
  const units = (bag: Lying) =>
    typed[bag.kind] ??
    (bag.advice === (back ? 'TAKE_BACK' : 'BRING') ? String(Math.min(bag.advised, there(bag))) : '');
  const send = useSend(
    () =>
      api.post<Reseller>(`/api/resellers/${reseller.id}/moves`, {
        requestId: request.id,
        back,
        lines: bags.map((bag) => ({ kind: bag.kind, units: units(bag) })),
      }),
    onClose,
  );
  return (
    <Panel
      title={back ? `Take back from ${reseller.name}` : `Bring to ${reseller.name}`}
      open
      onOpenChange={(open) => !open && onClose()}
    >
      {bags.length === 0 ? (
        <p className="text-soft">No bags are at home.</p>
      ) : (
        <form
          noValidate
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (!send.isPending) send.mutate(undefined);
          }}
        >
          <ul className="divide-y divide-line-faint">
            {bags.map((bag, i) => (
              <li key={bag.kind} className="grid grid-cols-[1fr_96px] items-center gap-3 py-1">
                <span>
                  <b>{bag.words}</b>
                  <span className="block text-[13px] text-soft">
                    {there(bag)} {back ? 'there' : 'at home'}
                    {!back && bag.there > 0 && `, ${bag.there} there`}
                  </span>
                  {!back && bag.barred && <span className="block text-[13px] text-madder">{bag.reason}</span>}
                </span>
                <TextField
                  label={`How many of ${bag.words}`}
                  hideLabel
                  inputMode="numeric"
                  value={units(bag)}
                  error={send.problem?.on(`lines.${i}.units`)}
                  onChange={(event) => setTyped({ ...typed, [bag.kind]: event.target.value })}
                />
              </li>
            ))}
          </ul>
          {send.problem?.on('lines') && <Notice>{send.problem.on('lines')}</Notice>}
          {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
          <Button type="submit" disabled={send.isPending}>
            {back ? 'Take back' : 'Bring them'}
          </Button>
        </form>
      )}
    </Panel>
  );
}
