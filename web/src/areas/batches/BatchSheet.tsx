import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { hatch } from '../../ui/Hatches';
import type { BatchStage } from '../../ui/RunningStitch';
import { Notes } from '../../ui/Notes';
import { Tag } from '../../ui/Tag';
import { sides, useUnits } from '../../ui/units';
import { WorkedFigure } from '../../ui/WorkedFigure';

type Sheet = Schemas['BatchSheet'];

/** The plan: what to cut, what it takes, how long. Once it is cut, the steps come first. */
export function BatchSheet({
  sheet,
  stage,
  reserving,
  replacing,
  order,
}: {
  sheet: Sheet;
  stage?: BatchStage;
  /** What holds material for this batch; absent where nothing can be held. */
  reserving?: ReactNode;
  /** What offers something else where a material is short; absent where nothing can be changed. */
  replacing?: (need: Schemas['NeedLine']) => ReactNode;
  /** The order of work, in the place of the steps; absent while the plan is still being changed, and once all is done. */
  order?: ReactNode;
}) {
  const sewing = stage === 'CUT';
  return (
    <>
      {sewing && (order ?? <Steps sheet={sheet} title="Steps to come" stages={['SEW', 'FINISH']} />)}
      <CutList sheet={sheet} />
      <div className="grid gap-4 md:grid-cols-2">
        <Needs sheet={sheet} reserving={reserving} replacing={replacing} />
        <Hours sheet={sheet} />
      </div>
      <Cautions sheet={sheet} stage={stage} />
      {!sewing && (order ?? <Steps sheet={sheet} title="Steps" stages={['CUT', 'SEW', 'FINISH']} />)}
    </>
  );
}

function CutList({ sheet }: { sheet: Sheet }) {
  const units = useUnits();
  const several = sheet.lines.length > 1;
  const corner = several ? undefined : sheet.lines[0]?.corner;
  return (
    <section className="sheet px-2 pt-3 pb-1.5" aria-label="Cut list">
      <div className="flex justify-between gap-4 px-2">
        <h2>Cut list</h2>
        {corner && (
          <span className="text-right text-soft">
            corners {corner.words},{' '}
            <WorkedFigure
              label="Corner, from the side"
              working={corner.fromSide.working}
              className="text-ink"
            >
              {units.own(corner.fromSide.value)}
            </WorkedFigure>
            {!corner.square && (
              <>
                {' by '}
                <WorkedFigure
                  label="Corner, from the base"
                  working={corner.fromBase.working}
                  className="text-ink"
                >
                  {units.own(corner.fromBase.value)}
                </WorkedFigure>
              </>
            )}
          </span>
        )}
      </div>
      <table className="listing">
        <thead>
          <tr>
            <th>
              <span className="sr-only">Mark</span>
            </th>
            <th>Piece</th>
            <th>Cut</th>
            <th>
              <span className="sr-only">In the other unit</span>
            </th>
            <th className="num">How many</th>
            <th>From</th>
          </tr>
        </thead>
        <tbody>
          {sheet.cutList.map(({ label, name, piece, count, lines, from, cutAs }) => (
            <tr key={label}>
              <td className="w-10">
                <svg width="30" height="22" role="img" aria-label={`Piece ${label}`}>
                  <rect x="1" y="1" width="28" height="20" rx="2" fill={hatch(piece.role)} stroke="#48595f" />
                  <rect x="8" y="3" width="14" height="16" rx="2" fill="#fff" fillOpacity=".92" />
                  <text
                    x="15"
                    y="16"
                    fontSize={label.length > 2 ? 9 : 13}
                    fontWeight="700"
                    textAnchor="middle"
                  >
                    {label}
                  </text>
                </svg>
              </td>
              <td>
                {name}
                {several && <ForLines lines={lines} />}
                <Notes notes={piece.notes} />
              </td>
              <td className="whitespace-nowrap">
                <WorkedFigure label={`${piece.name}, width`} working={piece.width.working}>
                  {units.own(piece.width.value)}
                </WorkedFigure>
                {' × '}
                <WorkedFigure label={`${piece.name}, height`} working={piece.height.working}>
                  {units.own(piece.height.value)}
                </WorkedFigure>
              </td>
              <td className="text-[13.5px] whitespace-nowrap text-soft">
                {sides(units.other(piece.width.value), units.other(piece.height.value))}
              </td>
              <td className="num">{count}</td>
              <td>
                {from}
                {piece.fold !== 'NONE' && <span className="text-soft">, on the fold</span>}
                {piece.directional && <span className="text-soft">, top up</span>}
                {cutAs && (
                  <span className="block text-[13.5px] text-soft">
                    shrinks afterwards: cut {sides(units.own(cutAs.wide), units.own(cutAs.high))}
                  </span>
                )}
              </td>
            </tr>
          ))}
          {sheet.trims.map(({ trim, count, lines, from }, i) => (
            <tr key={`${trim.letter}-${i}`}>
              <td>
                <svg width="30" height="22" aria-hidden>
                  <path d="M2 11h26" stroke="#14242d" strokeWidth="5" strokeDasharray="2 1.5" />
                  <rect x="17" y="5" width="6" height="12" rx="2" fill="#9aa7a8" />
                </svg>
              </td>
              <td>
                {trim.name}
                {several && <ForLines lines={lines} />}
              </td>
              <td>
                <WorkedFigure label={trim.name} working={trim.length.working}>
                  {units.own(trim.length.value)}
                </WorkedFigure>
              </td>
              <td className="text-[13.5px] text-soft">{units.other(trim.length.value)}</td>
              <td className="num">{count}</td>
              <td>{from}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** For which lines of the batch a row is. */
function ForLines({ lines }: { lines: number[] }) {
  return (
    <span className="text-[13px] text-soft">
      {' '}
      · line{lines.length > 1 ? 's' : ''} {lines.join(', ')}
    </span>
  );
}

function Needs({
  sheet,
  reserving,
  replacing,
}: {
  sheet: Sheet;
  reserving?: ReactNode;
  replacing?: (need: Schemas['NeedLine']) => ReactNode;
}) {
  const units = useUnits();
  return (
    <section className="sheet px-3.5 py-3" aria-label="Material">
      <h2 className="mb-1">Material</h2>
      {sheet.needs.length === 0 && <p className="text-soft">Choose the materials above.</p>}
      {sheet.needs.map((need) => {
        const taken = need.taken;
        const whole = Math.max(need.needed.value, need.onHand.value, 1);
        return (
          <div
            key={`${need.materialId}-${need.part}`}
            className="grid grid-cols-[minmax(0,1fr)_auto_56px_auto] items-center gap-x-2 py-[3px]"
          >
            <span className="truncate" title={`${need.name}: ${units.amount(need.onHand)} on the shelf`}>
              {need.name}
            </span>
            <WorkedFigure label={`${need.name}, needed`} working={need.working} className="whitespace-nowrap">
              {units.amount(need.needed)}
            </WorkedFigure>
            {taken ? (
              <span />
            ) : (
              <span className="relative block h-3 overflow-hidden rounded-[3px] bg-line-faint" aria-hidden>
                <span
                  className="absolute inset-y-0 left-0 bg-woad-mid"
                  style={{ width: `${Math.max(0, (100 * need.onHand.value) / whole)}%` }}
                />
                <span
                  className="absolute inset-y-0 w-[3px] bg-ink"
                  style={{ left: `calc(${(100 * need.needed.value) / whole}% - 3px)` }}
                />
              </span>
            )}
            <span className="text-right">
              {taken ? (
                <Tag look="plain">taken</Tag>
              ) : need.shortBy ? (
                <Tag look="bad">{units.amount(need.shortBy)} short</Tag>
              ) : (
                <Tag look="ok">
                  {need.held.value >= need.needed.value && need.held.value > 0 ? 'held' : 'enough'}
                </Tag>
              )}
            </span>
            {!taken && need.heldForOthers.value > 0 && (
              <span className="col-span-4 text-[13px] text-soft">
                {units.amount(need.heldForOthers)} of {units.amount(need.onHand)} are held for other batches
              </span>
            )}
            {need.shares.length > 0 && (
              <span className="col-span-4 text-[13px] text-soft">
                {need.shares.map((share) => `line ${share.line}: ${units.amount(share.amount)}`).join(' · ')}
              </span>
            )}
            {!taken && need.shortBy && replacing && <span className="col-span-4">{replacing(need)}</span>}
          </div>
        );
      })}
      {reserving}
    </section>
  );
}

function Hours({ sheet }: { sheet: Sheet }) {
  const { oneByOne, asBatch, saved, sewing, settingUp, passive } = sheet.times;
  const whole = Math.max(1, oneByOne.value.seconds);
  const settingUpEach = oneByOne.value.seconds - sewing.seconds;
  const bar = (name: string, figure: Schemas['TimeFigure'], setUp: number) => (
    <div className="py-1">
      <div className="flex justify-between">
        <span>{name}</span>
        <WorkedFigure label={name} working={figure.working}>
          {figure.value.text}
        </WorkedFigure>
      </div>
      <svg className="mt-0.5 h-[18px] w-full rounded-[3px]" preserveAspectRatio="none" aria-hidden>
        <rect width={`${(100 * sewing.seconds) / whole}%`} height="18" fill="#1d5a85" />
        <rect
          x={`${(100 * sewing.seconds) / whole}%`}
          width={`${(100 * setUp) / whole}%`}
          height="18"
          fill="url(#striped)"
        />
      </svg>
    </div>
  );
  return (
    <section className="sheet px-3.5 py-3" aria-label="Hours">
      <h2>Hours</h2>
      {bar('One by one', oneByOne, settingUpEach)}
      {bar('As a batch', asBatch, settingUp.seconds)}
      <p className="mt-2 text-[13.5px] text-soft">
        Striped is setting up, made once and not for every bag: {saved.text} saved.
        {passive.seconds > 0 && ` Waiting without hands, apart: ${passive.text}.`}
      </p>
    </section>
  );
}

function Steps({ sheet, title, stages }: { sheet: Sheet; title: string; stages: string[] }) {
  return (
    <section className="sheet px-2 py-3" aria-label={title}>
      <h2 className="px-2">{title}</h2>
      <table className="listing">
        <tbody>
          {sheet.steps
            .filter((step) => stages.includes(step.stage))
            .map((step, i) => (
              <tr key={i}>
                <td className="w-8 text-soft">{i + 1}</td>
                <td>
                  {step.name}
                  {sheet.lines.length > 1 && step.lines.length < sheet.lines.length && (
                    <ForLines lines={step.lines} />
                  )}
                  {step.changes.length > 0 && (
                    <span className="text-soft">
                      {' '}
                      · change to <b className="text-ink">{step.changes.join(', ')}</b>
                    </span>
                  )}
                  {step.check && <span className="block text-[13.5px] text-soft">{step.check}</span>}
                  {step.caution && (
                    <span className="block text-[13.5px]">
                      <Tag look="care">Caution</Tag> {step.caution}
                    </span>
                  )}
                  {step.note && <span className="block text-[13.5px]">You noted: {step.note}</span>}
                </td>
                <td className="num whitespace-nowrap">{step.time.text}</td>
              </tr>
            ))}
        </tbody>
      </table>
    </section>
  );
}

function Cautions({ sheet, stage }: { sheet: Sheet; stage?: BatchStage }) {
  if (stage === 'FINISHED' || stage === 'DROPPED') return null;
  const shown = sheet.cautions.filter((caution) => (stage === 'CUT') === (caution.stage !== 'CUT'));
  const once = [...new Map(shown.map((caution) => [caution.title, caution])).values()];
  return (
    <ul className="space-y-1 text-[13.5px] text-soft" aria-label="Cautions">
      {once.map((caution) => (
        <li key={caution.title}>
          <Tag look="care">{caution.title}</Tag> {caution.text}
        </li>
      ))}
    </ul>
  );
}
