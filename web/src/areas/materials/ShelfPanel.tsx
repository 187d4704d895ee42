import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';
import { OffersPart } from './OffersPart';

type Material = Schemas['MaterialView'];
type Kind = Schemas['MovementForm']['kind'];

const KINDS: { kind: Kind; says: string; amount: string }[] = [
  { kind: 'COUNTED', says: 'I counted or measured what is there', amount: 'There is' },
  { kind: 'BOUGHT', says: 'I bought some', amount: 'Bought' },
  { kind: 'GIVEN', says: 'I was given some', amount: 'Given' },
  { kind: 'USED', says: 'I used some for something else', amount: 'Used' },
  { kind: 'SPOILED', says: 'Some was spoiled', amount: 'Spoiled' },
];

const WORDS: Record<Kind, string> = {
  COUNTED: 'counted',
  BOUGHT: 'bought',
  GIVEN: 'given',
  RETURNED: 'returned',
  CUT: 'cut',
  USED: 'used',
  SPOILED: 'spoiled',
};

/** What is there of a material, how it came and went, and the form that changes it. */
export function ShelfPanel({
  material,
  onClose,
  onEdit,
}: {
  material: Material;
  onClose: () => void;
  onEdit: () => void;
}) {
  const units = useUnits();
  const { data: movements } = useQuery({
    queryKey: [...keys.materials, material.id, 'movements'],
    queryFn: () => api.get<Schemas['PageViewMovementView']>(`/api/materials/${material.id}/movements`),
  });
  const [kind, setKind] = useState<Kind>('COUNTED');
  const [amount, setAmount] = useState('');
  const [reason, setReason] = useState('');
  const request = useRequestId();
  const send = useSend(
    () =>
      api.post<Material>(`/api/materials/${material.id}/movements`, {
        requestId: request.id,
        kind,
        amount,
        reason,
      }),
    () => {
      request.renew();
      setAmount('');
      setReason('');
    },
  );
  const chosen = KINDS.find((k) => k.kind === kind);
  return (
    <Panel title={material.name} open onOpenChange={(open) => !open && onClose()}>
      <div className="flex items-end justify-between">
        <div>
          <div className="text-soft">On the shelf</div>
          <div className="text-[30px] leading-none font-bold">{units.amount(material.onHand)}</div>
          {material.onHand.length && <div className="text-soft">{units.other(material.onHand.length)}</div>}
        </div>
        <Button look="quiet" onClick={onEdit}>
          Change what it is
        </Button>
      </div>
      <form
        className="mt-4 space-y-3 border-t border-line pt-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <SelectField
          label="What happened"
          value={kind}
          onChange={(event) => setKind(event.target.value as Kind)}
        >
          {KINDS.map((k) => (
            <option key={k.kind} value={k.kind}>
              {k.says}
            </option>
          ))}
        </SelectField>
        <div className="grid grid-cols-[170px_1fr] gap-3">
          <TextField
            label={chosen?.amount ?? 'How much'}
            hint={
              material.kind === 'NOTION'
                ? 'pieces'
                : `like 2 1/4 yd or 1,3 m; a bare number is ${units.cloth}`
            }
            value={amount}
            onChange={(event) => setAmount(event.target.value)}
            error={send.problem?.on('amount')}
          />
          <TextField
            label="Why"
            hint={
              kind === 'COUNTED' || kind === 'SPOILED'
                ? 'So that the shelf can be understood later.'
                : 'May stay empty.'
            }
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            error={send.problem?.on('reason')}
          />
        </div>
        {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
        <Button type="submit" disabled={send.isPending}>
          Enter
        </Button>
      </form>
      <OffersPart material={material} />
      <h3 className="mt-5 font-bold">How it came and went</h3>
      <table className="listing">
        <tbody>
          {movements?.items.map((movement) => (
            <tr key={movement.id}>
              <td className="whitespace-nowrap text-soft">{movement.movedAt.slice(0, 10)}</td>
              <td>
                {WORDS[movement.kind]}
                {movement.batchId !== undefined && ` for batch ${movement.batchId}`}
                <span className="block text-[13px] text-soft">{movement.reason}</span>
              </td>
              <td className="num whitespace-nowrap">
                {movement.change.value > 0 && '+'}
                {units.amount(movement.change)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Panel>
  );
}
