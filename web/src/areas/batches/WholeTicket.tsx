import type { Schemas } from '../../api/client';
import { BagLook } from '../../ui/BagLook';
import { CostFall } from '../../ui/CostFall';
import { Tagged } from '../../ui/Ticket';

/** What a whole batch of several lines costs, and what each line bears of it. */
export function WholeTicket({
  sheet,
  stale,
  onChoose,
}: {
  sheet?: Schemas['BatchSheet'];
  stale?: boolean;
  onChoose: (line: number) => void;
}) {
  const most = Math.max(1, ...(sheet?.lines.map((line) => line.total?.minor ?? 0) ?? []));
  return (
    <Tagged label="Ticket for the whole batch" stale={stale}>
      {!sheet?.total && (
        <p className="py-6 text-center text-soft">The ticket follows when every line is complete.</p>
      )}
      {sheet?.total && (
        <>
          <div className="text-center text-soft">the whole batch, {sheet.units} bags</div>
          <div className="mt-1 text-center text-[30px] leading-none font-bold">{sheet.total.amount}</div>
          <ul className="mt-3">
            {sheet.lines.map((line, i) => (
              <li key={line.number} className="border-b border-line-faint">
                <button
                  type="button"
                  className="grid min-h-11 w-full grid-cols-[44px_1fr] items-center gap-2 py-1 text-left hover:bg-woad-tint"
                  onClick={() => onChoose(i)}
                >
                  <span className="flex justify-center">
                    <BagLook picture={line.finished?.picture} photo={line.photo} across={44} up={40} />
                  </span>
                  <span className="block min-w-0">
                    <span className="flex justify-between gap-2">
                      <span className="truncate">
                        <span className="text-soft">{line.number} ·</span> {line.units} × {line.designName}
                      </span>
                      <b>{line.total?.amount}</b>
                    </span>
                    <span className="flex items-center gap-2 text-[13px] text-soft">
                      <span className="min-w-0 flex-1 truncate">
                        {line.sizeName} · {line.clothName}
                      </span>
                      <span>{line.each?.amount} each</span>
                    </span>
                    <span className="mt-0.5 block h-1.5 rounded bg-line-faint" aria-hidden>
                      <span
                        className="block h-full rounded"
                        style={{
                          width: `${(100 * (line.total?.minor ?? 0)) / most}%`,
                          background: line.colour,
                        }}
                      />
                    </span>
                  </span>
                </button>
              </li>
            ))}
          </ul>
          <MadeOf sheet={sheet} />
          {sheet.perHour && (
            <div className="mt-3 rounded bg-woad-tint px-3 py-2.5">
              <div>Left for an hour, over all</div>
              <div className="mt-1 text-[26px] leading-none font-bold">{sheet.perHour.amount}</div>
            </div>
          )}
        </>
      )}
    </Tagged>
  );
}

/** What the whole batch costs, part by part. */
export function MadeOf({ sheet }: { sheet: Schemas['BatchSheet'] }) {
  if (sheet.parts.length === 0) return null;
  return (
    <details>
      <summary className="min-h-9 cursor-pointer content-center font-semibold text-woad">
        The batch’s {sheet.total?.amount}, part by part
      </summary>
      <CostFall
        parts={sheet.parts.map((part) => ({
          name: part.name,
          minor: part.cost.minor,
          amount: <b>{part.cost.amount}</b>,
        }))}
      />
    </details>
  );
}
