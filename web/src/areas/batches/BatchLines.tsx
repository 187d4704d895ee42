import type { Schemas } from '../../api/client';
import { BagLook } from '../../ui/BagLook';
import { Swatch } from '../../ui/Roll';

/** The lines of a batch that is under way: how many of each are done, and what each costs. */
export function BatchLines({
  batch,
  sheet,
  chosen,
  onChoose,
}: {
  batch: Schemas['BatchView'];
  sheet: Schemas['BatchSheet'];
  chosen?: number;
  onChoose: (place: number | undefined) => void;
}) {
  const anySeconds = batch.lines.some((line) => line.seconds > 0);
  const anyScrap = batch.lines.some((line) => line.scrap > 0);
  return (
    <section className="sheet px-2 py-3" aria-label="Lines">
      <h2 className="px-2">Made together</h2>
      <table className="listing">
        <thead>
          <tr>
            <th>Line</th>
            <th>In</th>
            <th className="num">Begun</th>
            <th className="num">Well</th>
            {anySeconds && <th className="num">Seconds</th>}
            {anyScrap && <th className="num">Spoiled</th>}
            <th className="num">To come</th>
            <th className="num">One costs</th>
          </tr>
        </thead>
        <tbody>
          {batch.lines.map((line, i) => {
            const its = sheet.lines[i];
            return (
              <tr key={line.number} className={chosen === i ? 'bg-woad-tint' : ''}>
                <td>
                  <span className="flex items-center gap-3">
                    <span className="flex w-[54px] shrink-0 justify-center">
                      <BagLook picture={its?.finished?.picture} photo={its?.photo} across={54} up={46} />
                    </span>
                    <span>
                      <button
                        type="button"
                        className="min-h-6 text-left font-semibold text-woad hover:underline"
                        onClick={() => onChoose(chosen === i ? undefined : i)}
                      >
                        {line.number} · {line.designName}
                      </button>
                      <span className="block text-[13px] text-soft">
                        {its?.sizeName ?? line.sizeName}
                        {line.putBy > 0 && ` · ${line.putBy} more are cut and put by`}
                      </span>
                    </span>
                  </span>
                </td>
                <td>
                  <span className="flex items-center gap-2">
                    {its && <Swatch kind="CLOTH" colour={its.colour} />}
                    {its?.clothName}
                  </span>
                </td>
                <td className="num">{line.started}</td>
                <td className="num">{line.good}</td>
                {anySeconds && <td className="num">{line.seconds}</td>}
                {anyScrap && <td className="num">{line.scrap}</td>}
                <td className="num">
                  <b>{line.open}</b>
                </td>
                <td className="num">{its?.each?.amount ?? '–'}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
