import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { ProblemNotice } from '../../ui/Notice';
import { Swatch } from '../../ui/Roll';
import { Tape } from '../../ui/Tape';
import { day } from '../../ui/units';
import { useLast } from '../../ui/useLast';
import { useSettled } from '../../ui/useSettled';

type LaidOut = Schemas['SeasonLaidOut'];

/** The numbers as the batch that they would be: on the coming days, and on their cloths. */
export function LaidOutPart({ made }: { made: Schemas['SeasonNumber'][] }) {
  const some = useSettled(
    made.filter((one) => one.units > 0),
    400,
  );
  const { data, error, isFetching } = useQuery({
    queryKey: [...keys.season, 'laid-out', some],
    queryFn: () => api.post<LaidOut>('/api/season-plan/laid-out', { made: some }),
    enabled: some.length > 0,
  });
  const laidOut = useLast(data);
  return (
    <section className="sheet px-4 py-3" aria-label="As one batch" aria-busy={isFetching}>
      <h2>As one batch</h2>
      {error && <ProblemNotice problem={error} />}
      {!error && !laidOut && <p className="text-soft">Laying it out on cloth and days …</p>}
      {!error && laidOut && <Shown laidOut={laidOut} />}
    </section>
  );
}

function Shown({ laidOut }: { laidOut: LaidOut }) {
  const { tape } = laidOut;
  const fairs = tape.pins.filter((pin) => pin.kind === 'FAIR');
  const pins = fairs.length > 0 ? fairs : tape.pins.filter((pin) => !pin.batchId);
  return (
    <>
      <p>
        <b className="tabular-nums">{laidOut.time.text}</b>
        {laidOut.changing.seconds > 0 && ` with ${laidOut.changing.text} of changing machines and walking`}
        {laidOut.ready ? (
          <span className={laidOut.late ? 'font-semibold text-weld' : undefined}>
            , done on {day(laidOut.ready)} when put among all open work, what is due first first
            {laidOut.late ? ': that is too late.' : '.'}
          </span>
        ) : (
          <span className="font-semibold text-weld">; there isn’t time for it in the coming year.</span>
        )}
      </p>
      <Tape tape={{ ...tape, pins }} today={laidOut.today} width={880} />
      <p className="text-[14px] text-soft">
        <span aria-hidden className="mr-1.5 inline-block h-[11px] w-[22px] rounded-[3px] bg-woad" />
        these bags; the others are open already
      </p>
      {laidOut.delays.map((delay) => (
        <p key={delay.batchId} className={delay.late ? 'font-semibold text-weld' : 'text-soft'}>
          <Link to={`/batches/${delay.batchId}`}>{delay.name}</Link>
          {delay.forWhat && ` for ${delay.forWhat}`} would be done{' '}
          {delay.after ? `on ${day(delay.after)}` : 'some day'} instead of {day(delay.before)}
          {delay.late ? ', which is too late.' : '.'}
        </p>
      ))}
      <div className="mt-2 overflow-x-auto">
        <table className="listing">
          <thead>
            <tr>
              <th>Material</th>
              <th className="num">Takes</th>
              <th className="num">Free on the shelf</th>
              <th className="num">To buy</th>
            </tr>
          </thead>
          <tbody>
            {laidOut.takes.map((one, i) => (
              <tr key={i}>
                <td className="flex items-center gap-2">
                  <Swatch kind={one.kind} colour={one.colour} /> {one.name}
                  {one.laidOut && <span className="text-soft"> · laid out</span>}
                </td>
                <td className="num">{one.takes.text}</td>
                <td className="num">{one.there.text}</td>
                <td className="num font-semibold">{one.shortBy?.text ?? '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
