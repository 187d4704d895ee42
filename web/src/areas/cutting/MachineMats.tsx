import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { sides, useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { Tick } from '../designs/fields';

type Mats = Schemas['MatsView'];
type Machine = Schemas['CutterView'];

const MACHINE = '/api/simulated/cutting-machine';
const machineKey = ['cutting-machine'];

/** The shaped pieces of a cloth on the mats of a cutting machine; worked out when it is opened. */
export function MachineMats({ batchId, materialId }: { batchId: number; materialId: number }) {
  const [open, setOpen] = useState(false);
  return (
    <details
      className="sheet no-print p-3.5"
      open={open}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="cursor-pointer py-1">
        <h2 className="inline">Shapes cut by machine</h2>
      </summary>
      {open && <Opened batchId={batchId} materialId={materialId} />}
    </details>
  );
}

function Opened({ batchId, materialId }: { batchId: number; materialId: number }) {
  const units = useUnits();
  const [pieces, setPieces] = useState<string[]>();
  const [size, setSize] = useState<string>();
  const asked = new URLSearchParams({ materialId: String(materialId) });
  // An empty list is no choice that can be asked for: nothing is laid then.
  (pieces ?? []).forEach((piece) => asked.append('piece', piece));
  if (size) asked.set('mat', size);
  const path = `/api/batches/${batchId}/cutting/mats`;
  const { data, error } = useQuery({
    queryKey: [...keys.batches, batchId, 'mats', asked.toString()],
    queryFn: () => api.get<Mats>(`${path}?${asked.toString()}`),
    placeholderData: keepPreviousData,
  });
  const machine = useQuery({
    queryKey: machineKey,
    queryFn: () => api.get<Machine>(MACHINE),
    refetchInterval: (query) => (query.state.data?.doing === 'CUTTING' ? 500 : 3_000),
  });
  const chosen = data?.kinds.filter((kind) => kind.chosen).map((kind) => kind.label) ?? [];
  const send = useSend((number: number) =>
    api.post<Machine>(`${path}/sent`, {
      number,
      of: { materialId, pieces: pieces ?? chosen, mat: data?.size },
    }),
  );
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Laying the shapes …</p>;
  const isNow = (mat: Schemas['CutMatView']) => machine.data?.key === mat.key;
  return (
    <div className="mt-2 space-y-3">
      <div className="grid items-start gap-x-5 gap-y-2 md:grid-cols-[1fr_200px]">
        <div>
          <div className="flex flex-wrap gap-x-5" role="group" aria-label="Cut by machine">
            {data.kinds.map((kind) => (
              <Tick
                key={kind.label}
                label={`${kind.label} ${kind.name} · ${kind.count}`}
                checked={kind.chosen}
                onTick={(on) => {
                  const next = on ? [...chosen, kind.label] : chosen.filter((one) => one !== kind.label);
                  if (next.length > 0) setPieces(next);
                }}
              />
            ))}
          </div>
          <p className="mt-1 text-[13.5px] text-soft">
            With a <b>{data.blade}</b>. {data.why}
          </p>
        </div>
        <SelectField label="On a mat of" value={data.size} onChange={(event) => setSize(event.target.value)}>
          {data.sizes.map((one) => (
            <option key={one.key} value={one.key}>
              {sides(units.own(one.width), units.own(one.height))}
            </option>
          ))}
        </SelectField>
      </div>
      {data.tooLarge.length > 0 && (
        <Notice look="care">
          {data.tooLarge.join(', ')} {data.tooLarge.length === 1 ? 'is' : 'are'} larger than this mat. Choose
          a larger one, or cut {data.tooLarge.length === 1 ? 'it' : 'them'} by hand.
        </Notice>
      )}
      <ProblemNotice problem={send.problem ?? machine.error ?? undefined} />
      {machine.data && <MachinePart machine={machine.data} />}
      <ul className="flex flex-wrap gap-4">
        {data.mats.map((mat) => (
          <li key={mat.key} className="w-[220px]">
            <MatDrawing mat={mat} width={data.widthMm} height={data.heightMm} />
            <div className="mt-1 text-[13.5px]">
              <b>Mat {mat.number}</b>: {mat.pieces} pieces, {mat.covered} covered, {mat.time.text}
            </div>
            <div className="mt-1 flex flex-wrap items-center gap-2">
              {mat.cut ? (
                <span className="font-semibold text-moss">cut</span>
              ) : (
                <Button
                  look="quiet"
                  disabled={send.isPending || isNow(mat)}
                  onClick={() => send.mutate(mat.number)}
                >
                  {isNow(mat) ? 'in the machine' : 'Cut this mat'}
                </Button>
              )}
              <a
                className="min-h-6 font-semibold text-woad hover:underline"
                href={`${path}/${mat.number}/job.svg?${asked.toString()}`}
                download
              >
                Job file
              </a>
            </div>
          </li>
        ))}
      </ul>
      {data.mats.length === 0 && (
        <p className="text-soft">Nothing of this cloth is chosen for the machine.</p>
      )}
    </div>
  );
}

const SAYS: Record<Machine['doing'], string> = {
  EMPTY: 'No mat is in the machine.',
  READY: 'A mat is in the machine. Send what is to be cut on it.',
  CUTTING: 'Cutting',
  JAMMED: '',
  DONE: 'The mat is cut. Take it out, lift the pieces off, and lay the next one in.',
  OFFLINE: '',
};

/** The simulated machine as one stands before it: what it does, and what can be done there. */
function MachinePart({ machine }: { machine: Machine }) {
  const act = useSend((what: Schemas['CutterForm']['act']) => api.post<Machine>(MACHINE, { act: what }));
  const does = (what: Schemas['CutterForm']['act']) => () => act.mutate(what);
  const { doing } = machine;
  const share = machine.pieces > 0 ? machine.done / machine.pieces : 0;
  return (
    <section className="rounded border border-line bg-ground p-3" aria-label="Cutting machine">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <h3 className="font-semibold">
          Cutting machine <span className="font-normal text-soft">(simulated: no device is asked)</span>
        </h3>
        {machine.title && <span className="text-[13.5px] text-soft">{machine.title}</span>}
      </div>
      <div className="my-2" aria-live="polite">
        {machine.trouble ? (
          <Notice look="care">{machine.trouble}</Notice>
        ) : (
          <Notice look="ok">
            {SAYS[doing]}
            {doing === 'CUTTING' && `: ${machine.done} of ${machine.pieces} pieces`}
          </Notice>
        )}
        {machine.pieces > 0 && (
          <div
            className="mt-1.5 h-2 overflow-hidden rounded bg-line"
            role="progressbar"
            aria-label="Pieces cut"
            aria-valuenow={machine.done}
            aria-valuemin={0}
            aria-valuemax={machine.pieces}
          >
            <div className="h-full bg-woad" style={{ width: `${share * 100}%` }} />
          </div>
        )}
      </div>
      <ProblemNotice problem={act.problem} />
      <div className="flex flex-wrap gap-2">
        {doing === 'EMPTY' && (
          <Button look="quiet" onClick={does('LAY_MAT_IN')}>
            Lay a mat in
          </Button>
        )}
        {(doing === 'READY' || doing === 'DONE' || doing === 'JAMMED') && (
          <Button look={doing === 'DONE' ? undefined : 'quiet'} onClick={does('TAKE_MAT_OUT')}>
            Take the mat out
          </Button>
        )}
        {doing === 'JAMMED' && <Button onClick={does('CLEAR_JAM')}>Lift the blade and go on</Button>}
        {(doing === 'EMPTY' || doing === 'READY') && (
          <Button look="quiet" onClick={does('JAM_NEXT')} disabled={machine.jamsNext}>
            {machine.jamsNext ? 'The next one jams' : 'Let the next one jam'}
          </Button>
        )}
        <Button look="quiet" onClick={does(doing === 'OFFLINE' ? 'SWITCH_ON' : 'SWITCH_OFF')}>
          {doing === 'OFFLINE' ? 'Switch on' : 'Switch off'}
        </Button>
      </div>
    </section>
  );
}

/** A mat to scale with the shapes on it. */
function MatDrawing({ mat, width, height }: { mat: Schemas['CutMatView']; width: number; height: number }) {
  const text = width / 22;
  return (
    <svg
      viewBox={`-4 -4 ${width + 8} ${height + 8}`}
      className="block w-full"
      role="img"
      aria-label={`Mat ${mat.number}: ${mat.pieces} pieces`}
    >
      <rect
        x={-3}
        y={-3}
        width={width + 6}
        height={height + 6}
        rx={6}
        className="fill-sheet stroke-line-strong"
        strokeWidth={2}
      />
      {mat.paths.map((one, i) => (
        <g key={i}>
          <path d={one.path} className="fill-woad-tint stroke-woad" strokeWidth={1.2} />
          <text x={one.x} y={one.y + text / 3} textAnchor="middle" fontSize={text} className="fill-ink">
            {one.label}
          </text>
        </g>
      ))}
    </svg>
  );
}
