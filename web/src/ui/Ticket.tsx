import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { BagPicture } from './BagPicture';
import { WorkedFigure } from './WorkedFigure';

type TicketView = Schemas['TicketView'];

/** The swing ticket's paper on its string, with what stands on it. */
export function Tagged({
  label,
  stale,
  children,
}: {
  label: string;
  /** The figures are being worked out anew. */
  stale?: boolean;
  children: ReactNode;
}) {
  return (
    <aside aria-label={label} aria-busy={stale} className="relative pt-4 drop-shadow-md">
      <svg viewBox="0 0 292 60" className="block w-full overflow-visible" aria-hidden>
        <path d="M146 40C128 14 150 -10 176 -16" fill="none" stroke="#48595f" strokeWidth="2" />
        <path d="M8 60V52L44 8H248L284 52V60" fill="#fff" stroke="#c9d3d2" />
        <circle cx="146" cy="36" r="10" fill="#ecf0ef" stroke="#b39b4a" strokeWidth="4" />
      </svg>
      <div
        className={`mx-[2.74%] -mt-px rounded-b border border-t-0 border-line bg-white px-4 pt-1 pb-4 transition-opacity ${stale ? 'opacity-60' : ''}`}
      >
        {children}
      </div>
    </aside>
  );
}

/** The swing ticket: what one unit takes, costs, sells for and leaves. */
export function Ticket({
  ticket,
  title,
  picture,
  planned,
  missing,
  stale,
  children,
}: {
  ticket?: TicketView;
  /** Which of several it is for. */
  title?: string;
  /** How the bag looks. */
  picture?: Schemas['PictureView'];
  /** What one was to cost, where it is known by now what it costs. */
  planned?: Schemas['MoneyView'];
  missing?: string;
  /** The figures are being worked out anew. */
  stale?: boolean;
  children?: ReactNode;
}) {
  return (
    <Tagged label="Ticket for one unit" stale={stale}>
      {picture && (
        <div className="mb-1.5">
          <BagPicture picture={picture} across={200} up={104} />
        </div>
      )}
      {title && <div className="text-center font-semibold">{title}</div>}
      {ticket ? (
        <Figures ticket={ticket} planned={planned} />
      ) : (
        <p className="py-6 text-center text-soft">{missing}</p>
      )}
      {children}
    </Tagged>
  );
}

function Figures({ ticket, planned }: { ticket: TicketView; planned?: Schemas['MoneyView'] }) {
  return (
    <>
      <div className="mb-1 text-center text-soft">
        {ticket.spoiled
          ? `one of the ${ticket.good} that came out well, of ${ticket.units}`
          : `one unit, made ${ticket.units} at a time`}
      </div>
      <Row label="Material">
        <WorkedFigure label="Material" working={ticket.material.working}>
          {ticket.material.value.amount}
        </WorkedFigure>
      </Row>
      <Row label="Bench time">
        <WorkedFigure label="Time of the batch" working={ticket.batchTime.working}>
          {ticket.handsOn.text}
        </WorkedFigure>
      </Row>
      <Row label={ticket.oneRate ? `Labour at ${ticket.oneRate.amount}` : 'Labour'}>
        <WorkedFigure label="Labour" working={ticket.labour.working}>
          {ticket.labour.value.amount}
        </WorkedFigure>
      </Row>
      <Row label="Blades, thread, power">
        <WorkedFigure label="Overheads" working={ticket.overhead.working}>
          {ticket.overhead.value.amount}
        </WorkedFigure>
      </Row>
      {ticket.spoiled && (
        <Row label={`${ticket.units - ticket.good} spoiled, its share`}>
          <WorkedFigure label="Share of what was spoiled" working={ticket.spoiled.working}>
            {ticket.spoiled.value.amount}
          </WorkedFigure>
        </Row>
      )}
      <Row label="Costs" last>
        <WorkedFigure label="Full cost" working={ticket.cost.working}>
          {ticket.cost.value.amount}
        </WorkedFigure>
      </Row>
      {planned && planned.minor !== ticket.cost.value.minor && (
        <div className="pt-1 text-right text-[13.5px] text-soft">planned {planned.amount}</div>
      )}
      <div className="mt-3 flex items-end justify-between">
        <div>
          <div className="text-soft">At the stall</div>
          <div className="text-[30px] leading-none font-bold">
            {ticket.ownPrice ? (
              ticket.price.amount
            ) : (
              <WorkedFigure label="Price at the stall" working={ticket.suggested.working}>
                {ticket.price.amount}
              </WorkedFigure>
            )}
          </div>
        </div>
        <div className="text-right text-[13.5px] text-soft">
          stall takes{' '}
          <WorkedFigure label="The stall takes" working={ticket.fees.working}>
            {ticket.fees.value.amount}
          </WorkedFigure>
          {ticket.ownPrice && (
            <div>
              worked out{' '}
              <WorkedFigure label="Price worked out" working={ticket.suggested.working}>
                {ticket.suggested.value.amount}
              </WorkedFigure>
            </div>
          )}
        </div>
      </div>
      <Split ticket={ticket} />
      {ticket.perHour && <PerHour ticket={ticket} perHour={ticket.perHour} />}
    </>
  );
}

function Row({ label, last, children }: { label: string; last?: boolean; children: ReactNode }) {
  return (
    <div
      className={`flex justify-between py-[5px] ${last ? 'border-b-2 border-ink' : 'border-b border-line-faint'}`}
    >
      <span>{label}</span>
      {children}
    </div>
  );
}

/** Where the price goes, to scale. */
function Split({ ticket }: { ticket: TicketView }) {
  const parts = [
    { name: 'material', minor: ticket.material.value.minor, fill: '#8fb6d3' },
    { name: 'labour', minor: ticket.labour.value.minor, fill: '#1d5a85' },
    { name: 'wear', minor: ticket.overhead.value.minor, fill: '#7f9292' },
    { name: 'spoiled', minor: ticket.spoiled?.value.minor ?? 0, fill: '#b39b4a' },
    { name: 'fees', minor: ticket.fees.value.minor, fill: '#a2382c' },
    { name: 'left', minor: Math.max(0, ticket.left.value.minor), fill: '#2c6744' },
  ];
  const whole = parts.reduce((sum, part) => sum + part.minor, 0);
  if (whole === 0) return null;
  return (
    <div className="mt-3">
      <div className="flex h-[18px]" aria-hidden>
        {parts.map((part) => (
          <span key={part.name} style={{ width: `${(100 * part.minor) / whole}%`, background: part.fill }} />
        ))}
      </div>
      <div className="flex flex-wrap justify-between gap-x-2 text-[11.5px] text-soft">
        {parts
          .filter((part) => part.minor > 0)
          .map((part) => (
            <span key={part.name}>
              <span className="mr-0.5 inline-block size-2" style={{ background: part.fill }} aria-hidden />
              {part.name}
            </span>
          ))}
      </div>
    </div>
  );
}

function PerHour({ ticket, perHour }: { ticket: TicketView; perHour: Schemas['MoneyFigure'] }) {
  const enough = perHour.value.minor >= ticket.wanted.minor;
  const colour = enough ? 'bg-moss-tint text-moss' : 'bg-weld-tint text-weld';
  return (
    <div className={`mt-3 rounded px-3 py-2.5 ${colour}`}>
      <div>Left for an hour, at the stall</div>
      <div className="mt-1 text-[30px] leading-none font-bold">
        <WorkedFigure label="Left for an hour" working={perHour.working}>
          {perHour.value.amount}
        </WorkedFigure>
      </div>
      <div className="mt-1 text-[13.5px]">
        wanted {ticket.wanted.amount}
        {enough ? '' : ', so this pays less than you want'}
      </div>
    </div>
  );
}
