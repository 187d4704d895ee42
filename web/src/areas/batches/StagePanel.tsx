import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type Problem, type Schemas } from '../../api/client';
import { keys, useBatchAsItIs } from '../../api/queries';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { Swatch } from '../../ui/Roll';
import { useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';

type Batch = Schemas['BatchView'];
type Need = Schemas['NeedLine'];

interface Kept {
  materialId: number;
  name: string;
  width: string;
  height: string;
  count: string;
  place: string;
  keep: boolean;
}

/** What was set right of what the plan says is left, by what it says. */
type SetRight = Record<string, Partial<Kept>>;

const keyOf = (left: Schemas['LeftLine']) =>
  `${left.materialId} ${left.width.exact} ${left.height.exact} ${left.count}`;

/** What cutting leaves and is large enough to keep; sizes can be set right: it was 7 in, not 7 1/2. */
function Offcuts({
  kept,
  onChange,
  problem,
}: {
  kept: Kept[];
  onChange: (index: number, next: Partial<Kept>) => void;
  problem?: string;
}) {
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
            onChange={(event) => onChange(index, { keep: event.target.checked })}
          />
          <span className="truncate">{one.name}</span>
          {(['width', 'height', 'count'] as const).map((key) => (
            <input
              key={key}
              className="field"
              aria-label={`${{ width: 'Across', height: 'Along', count: 'How many' }[key]}, offcut ${index + 1}`}
              value={one[key]}
              onChange={(event) => onChange(index, { [key]: event.target.value })}
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
  batchId,
  only,
  onClose,
}: {
  kind: 'cut' | 'finish';
  batchId: number;
  /** The only cloth that is cut now; absent for all that aren't yet. */
  only?: number;
  onClose: () => void;
}) {
  const { data: batch, error } = useBatchAsItIs(batchId);
  return (
    <Panel
      title={kind === 'cut' ? 'The cloth is cut' : 'Bags are finished'}
      open
      onOpenChange={(open) => !open && onClose()}
    >
      {batch && kind === 'cut' ? (
        <Cutting batch={batch} only={only} onClose={onClose} />
      ) : batch ? (
        <Finishing batch={batch} onClose={onClose} />
      ) : error ? (
        <ProblemNotice problem={error} />
      ) : (
        <p className="text-soft">Checking the plan …</p>
      )}
    </Panel>
  );
}

/** Once something was refused, the batch is looked at as it is now. */
function useLookAgain(refused: Problem | undefined, batch: Batch) {
  const client = useQueryClient();
  useEffect(() => {
    if (refused) void client.invalidateQueries({ queryKey: [...keys.batches, batch.id], exact: true });
  }, [refused, client, batch.id]);
}

function Leaving({ needs }: { needs: Need[] }) {
  const units = useUnits();
  return (
    <>
      <p className="text-soft">This leaves the shelf:</p>
      <table className="listing">
        <tbody>
          {needs.map((need) => (
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
    </>
  );
}

function Reason({
  short,
  reason,
  onChange,
}: {
  short: boolean;
  reason: string;
  onChange: (reason: string) => void;
}) {
  return (
    <TextField
      label={
        short
          ? 'The shelf doesn’t hold that much. Why is it there all the same?'
          : 'A reason, if it is right all the same'
      }
      value={reason}
      maxLength={300}
      onChange={(event) => onChange(event.target.value)}
      hint="For instance: a metre was never entered. Or close this and enter what is there first."
    />
  );
}

function Cutting({ batch, only, onClose }: { batch: Batch; only?: number; onClose: () => void }) {
  const { sheet } = batch;
  const uncut = batch.cloths.filter((cloth) => !cloth.cut);
  const [left, setLeft] = useState<number[]>(
    only === undefined
      ? []
      : uncut.filter((cloth) => cloth.materialId !== only).map((cloth) => cloth.materialId),
  );
  const [reason, setReason] = useState('');
  const [setRight, setSetRight] = useState<SetRight>({});
  const isCutNow = (materialId: number) => !left.includes(materialId);
  const leftOver = sheet.leftOver.filter((one) => isCutNow(one.materialId));
  const kept: Kept[] = leftOver.map((one) => ({
    materialId: one.materialId,
    name: one.name,
    width: one.width.exact,
    height: one.height.exact,
    count: String(one.count),
    place: '',
    keep: true,
    ...setRight[keyOf(one)],
  }));
  const change = (index: number, next: Partial<Kept>) => {
    const one = leftOver[index];
    if (one) setSetRight({ ...setRight, [keyOf(one)]: { ...setRight[keyOf(one)], ...next } });
  };
  const leaving = sheet.needs.filter(
    (need) => need.leavesWhenCut && !need.taken && isCutNow(need.materialId),
  );
  const short = leaving.some((need) => need.shortBy);
  const send = useSend(
    () =>
      api.post<Batch>(`/api/batches/${batch.id}/cut`, {
        version: batch.version,
        mark: sheet.mark,
        reason,
        cloths: uncut.map((cloth) => cloth.materialId).filter(isCutNow),
        keep: kept
          .filter((one) => one.keep)
          .map(({ materialId, width, height, count, place }) => ({
            materialId,
            width,
            height,
            count,
            place,
          })),
      }),
    onClose,
  );
  useLookAgain(send.problem, batch);
  return (
    <form
      noValidate
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      {uncut.length > 1 && (
        <fieldset>
          <legend className="font-semibold">Which cloth is cut?</legend>
          {uncut.map((cloth) => (
            <label key={cloth.materialId} className="flex min-h-11 cursor-pointer items-center gap-2.5">
              <input
                type="checkbox"
                className="size-6"
                checked={isCutNow(cloth.materialId)}
                onChange={(event) =>
                  setLeft(
                    event.target.checked
                      ? left.filter((one) => one !== cloth.materialId)
                      : [...left, cloth.materialId],
                  )
                }
              />
              <Swatch kind="CLOTH" colour={cloth.colour} />
              {cloth.name}
            </label>
          ))}
        </fieldset>
      )}
      {uncut.length === 0 ? (
        <p className="text-soft">All its pieces are cut already; they come off the shelf now.</p>
      ) : (
        <Leaving needs={leaving} />
      )}
      {kept.length > 0 && (
        <Offcuts kept={kept} onChange={change} problem={send.problem?.errors[0]?.sentence} />
      )}
      {(short || send.problem) && <Reason short={short} reason={reason} onChange={setReason} />}
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
      <Button type="submit" disabled={send.isPending || (leaving.length === 0 && uncut.length > 0)}>
        It is cut
      </Button>
    </form>
  );
}

type Done = { good: string; seconds: string; scrap: string };

const WORDS = { good: 'Well', seconds: 'Seconds', scrap: 'Spoiled' } as const;

function Finishing({ batch, onClose }: { batch: Batch; onClose: () => void }) {
  const { sheet } = batch;
  const lines = batch.lines.filter((line) => line.open > 0);
  const [typed, setTyped] = useState<Record<number, Partial<Done>>>({});
  const [reason, setReason] = useState('');
  const done = (line: (typeof lines)[number]): Done => ({
    good: String(line.open - line.secondsAtBench),
    seconds: line.secondsAtBench > 0 ? String(line.secondsAtBench) : '',
    scrap: '',
    ...typed[line.number],
  });
  const count = (text: string) => (/^\d+$/.test(text.trim()) ? Number(text) : 0);
  const toCome = lines.reduce((sum, line) => {
    const its = done(line);
    return sum + Math.max(0, line.open - count(its.good) - count(its.seconds) - count(its.scrap));
  }, 0);
  const leaving = sheet.needs.filter((need) => !need.leavesWhenCut && !need.taken);
  const short = leaving.some((need) => need.shortBy);
  const send = useSend(
    () =>
      api.post<Batch>(`/api/batches/${batch.id}/finish`, {
        version: batch.version,
        mark: sheet.mark,
        reason,
        lines: lines.map((line) => ({ number: line.number, ...done(line) })),
      }),
    onClose,
  );
  useLookAgain(send.problem, batch);
  const several = batch.lines.length > 1;
  const wrong = (i: number, field: keyof Done) =>
    send.problem?.on(lines.length === 1 ? field : `lines.${i}.${field}`);
  const wrongs = lines.flatMap((_, i) =>
    (Object.keys(WORDS) as (keyof Done)[]).flatMap((field) => wrong(i, field) ?? []),
  );
  return (
    <form
      noValidate
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      <table className="listing">
        <thead>
          <tr>
            <th>{several ? 'Line' : 'Still to come'}</th>
            {Object.values(WORDS).map((word) => (
              <th key={word} className="num">
                {word}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map((line, i) => {
            const its = done(line);
            const place = sheet.lines.find((one) => one.number === line.number);
            return (
              <tr key={line.number}>
                <td>
                  <b>{line.open}</b> × {line.designName}
                  <span className="block text-[13px] text-soft">
                    {line.sizeName}
                    {place?.clothName && ` · ${place.clothName}`}
                  </span>
                </td>
                {(Object.keys(WORDS) as (keyof Done)[]).map((field) => (
                  <td key={field} className="num w-[78px]">
                    <input
                      className="field text-right"
                      inputMode="numeric"
                      autoComplete="off"
                      aria-label={`${WORDS[field]}${several ? `, line ${line.number}` : ''}`}
                      aria-invalid={!!wrong(i, field)}
                      placeholder="0"
                      value={its[field]}
                      onChange={(event) =>
                        setTyped({
                          ...typed,
                          [line.number]: { ...typed[line.number], [field]: event.target.value },
                        })
                      }
                    />
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
      {wrongs.map((sentence) => (
        <p key={sentence} className="text-[13px] text-madder">
          {sentence}
        </p>
      ))}
      <p className="text-soft">
        {toCome === 0
          ? 'With these all are done. Those that came out carry what was spoiled.'
          : `${toCome} stay to be made; what they take stays on the shelf.`}
      </p>
      {leaving.length > 0 && toCome === 0 && <Leaving needs={leaving} />}
      {(short || send.problem) && <Reason short={short} reason={reason} onChange={setReason} />}
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
      <Button type="submit" disabled={send.isPending}>
        They are finished
      </Button>
    </form>
  );
}
