import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { fullDay, useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';
import { PARTS, typedAs, type Material, type MovementKind } from './words';

const KINDS: { kind: MovementKind; says: string; amount: string }[] = [
  { kind: 'COUNTED', says: 'I counted or measured what is there', amount: 'There is' },
  { kind: 'BOUGHT', says: 'I bought some', amount: 'Bought' },
  { kind: 'GIVEN', says: 'I was given some', amount: 'Given' },
  { kind: 'USED', says: 'I used some for something else', amount: 'Used' },
  { kind: 'SPOILED', says: 'Some was spoiled', amount: 'Spoiled' },
  { kind: 'RETURNED', says: 'Some came back', amount: 'Came back' },
  { kind: 'SOLD_ON', says: 'I sold some on', amount: 'Sold on' },
];

/** What happened to a material, typed in one line: of all of it, of a half, or of one lot. */
export function MovePart({ material, lots }: { material: Material; lots: Schemas['LotView'][] }) {
  const units = useUnits();
  const [kind, setKind] = useState<MovementKind>('COUNTED');
  const [amount, setAmount] = useState('');
  const [reason, setReason] = useState('');
  const [paid, setPaid] = useState('');
  const [lotId, setLotId] = useState('');
  const [part, setPart] = useState('');
  const request = useRequestId();
  const comes = kind === 'BOUGHT' || kind === 'GIVEN' || kind === 'RETURNED';
  const ofPieces = lots.some((lot) => String(lot.id) === lotId && lot.size);
  const send = useSend(
    () =>
      api.post<Material>(`/api/materials/${material.id}/movements`, {
        requestId: request.id,
        kind,
        amount,
        reason,
        paid: kind === 'BOUGHT' ? paid : undefined,
        lotId: !comes && lotId ? Number(lotId) : undefined,
        part: part || undefined,
      }),
    () => {
      request.renew();
      setAmount('');
      setReason('');
      setPaid('');
    },
  );
  const chosen = KINDS.find((k) => k.kind === kind);
  return (
    <form
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      <SelectField
        label="What happened"
        value={kind}
        onChange={(event) => setKind(event.target.value as MovementKind)}
      >
        {KINDS.map((k) => (
          <option key={k.kind} value={k.kind}>
            {k.says}
          </option>
        ))}
      </SelectField>
      {material.parts.length > 0 && (
        <SelectField label="Of" value={part} onChange={(event) => setPart(event.target.value)}>
          <option value="">whole sets</option>
          {material.parts.map((one) => (
            <option key={one.part} value={one.part}>
              {PARTS[one.part]} only
            </option>
          ))}
        </SelectField>
      )}
      {!comes && lots.length > 1 && (
        <SelectField label="Which lot" value={lotId} onChange={(event) => setLotId(event.target.value)}>
          <option value="">all of it, the oldest first</option>
          {lots.map((lot) => (
            <option key={lot.id} value={lot.id}>
              {lotName(lot, units)}
            </option>
          ))}
        </SelectField>
      )}
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={chosen?.amount ?? 'How much'}
          hint={ofPieces ? 'pieces' : typedAs(material.kind, units.cloth)}
          value={amount}
          onChange={(event) => setAmount(event.target.value)}
          error={send.problem?.on('amount')}
        />
        {kind === 'BOUGHT' ? (
          <TextField
            label={`Paid for all of it (${units.currency})`}
            hint="Empty: as usual."
            inputMode="decimal"
            value={paid}
            onChange={(event) => setPaid(event.target.value)}
            error={send.problem?.on('paid')}
          />
        ) : (
          <div />
        )}
      </div>
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
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
      <Button type="submit" disabled={send.isPending}>
        Enter
      </Button>
    </form>
  );
}

/** A lot in a few words. */
export function lotName(lot: Schemas['LotView'], units: ReturnType<typeof useUnits>) {
  const size = lot.width && lot.height ? `${units.own(lot.width)} × ${units.own(lot.height)}, ` : '';
  const dye = lot.dyeLot ? `dye ${lot.dyeLot}, ` : '';
  return `${size}${dye}${units.amount(lot.left)} left of ${fullDay(lot.cameAt)}`;
}
