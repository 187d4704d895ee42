import { useCallback, useEffect, useRef, useState } from 'react';
import { BEHAVIOURS, ReaderSilent, SimulatedReader, type Behaviour } from './reader';
import { forgetPending, keepPending, pendingPayment, type Payment } from './payment';
import { written, type Entry, type Style } from './reckon';

type Phase = 'asking' | 'declined' | 'silent' | 'looking' | 'uncharged' | 'away';

/** The card reader and what it says. A payment is asked for by its own id, and a lost answer is looked up. */
export function CardPanel({
  payment,
  style,
  onPaid,
  onCash,
  onStop,
}: {
  payment: Payment;
  style: Style;
  onPaid: (sale: Entry) => void;
  onCash: (sale: Entry) => void;
  onStop: () => void;
}) {
  const [reader] = useState(() => new SimulatedReader());
  const [phase, setPhase] = useState<Phase>(() => (pendingPayment(payment.fairId) ? 'silent' : 'asking'));
  const [behaviour, setBehaviour] = useState<Behaviour>(reader.behaviour);
  const begun = useRef(false);
  const { sale } = payment;
  const minor = sale.paidMinor ?? 0;

  const over = useCallback((then: () => void) => {
    forgetPending();
    then();
  }, []);

  const ask = useCallback(async () => {
    setPhase('asking');
    keepPending(payment);
    try {
      const said = await reader.pay(sale.id, minor);
      if (said === 'accepted') over(() => onPaid({ ...sale, payment: sale.id }));
      else setPhase('declined');
    } catch (failure) {
      if (!(failure instanceof ReaderSilent)) throw failure;
      setPhase('silent');
    }
  }, [reader, payment, sale, minor, over, onPaid]);

  const lookUp = async () => {
    setPhase('looking');
    try {
      const said = await reader.lookUp(sale.id);
      if (said === 'accepted') over(() => onPaid({ ...sale, payment: sale.id }));
      else setPhase('uncharged');
    } catch (failure) {
      if (!(failure instanceof ReaderSilent)) throw failure;
      setPhase('away');
    }
  };

  useEffect(() => {
    if (begun.current || phase !== 'asking') return;
    begun.current = true;
    void ask();
  }, [ask, phase]);

  const busy = phase === 'asking' || phase === 'looking';
  const canLeave = phase === 'declined' || phase === 'uncharged';
  return (
    <div className="fixed inset-0 z-40 flex items-end bg-ink/60 sm:items-center sm:justify-center">
      <section
        role="dialog"
        aria-modal="true"
        aria-label="Card reader"
        className="w-full space-y-3 bg-white p-4 sm:w-[460px] sm:rounded-[10px]"
      >
        <p className="text-[30px] font-bold tabular-nums">{written(minor, style)}</p>
        <p className="text-[18px]" role="status">
          {SAYS[phase]}
        </p>
        {!busy && (
          <div className="flex flex-wrap gap-2">
            {phase === 'silent' || phase === 'away' ? (
              <Big main onClick={() => void lookUp()}>
                Look it up
              </Big>
            ) : (
              <Big main onClick={() => void ask()}>
                Try once more
              </Big>
            )}
            {canLeave && (
              <>
                <Big onClick={() => over(() => onCash({ ...sale, tender: 'CASH' }))}>Paid in cash</Big>
                <Big onClick={() => over(onStop)}>{payment.replaces ? 'Stays as it was' : 'Not sold'}</Big>
              </>
            )}
          </div>
        )}
        <label className="block border-t border-line pt-2 text-[14px]">
          Simulated reader:{' '}
          <select
            className="min-h-11 rounded border border-line-strong bg-white px-2"
            value={behaviour}
            onChange={(event) => {
              const next = event.target.value as Behaviour;
              reader.behave(next);
              setBehaviour(next);
            }}
          >
            {BEHAVIOURS.map((one) => (
              <option key={one} value={one}>
                {one}
              </option>
            ))}
          </select>
        </label>
      </section>
    </div>
  );
}

const SAYS: Record<Phase, string> = {
  asking: 'Hold the card to the reader …',
  declined: 'Declined. Nothing was charged.',
  silent: 'The reader didn’t answer. It may have charged the card: look it up before anything else.',
  looking: 'Looking it up …',
  uncharged: 'The reader knows of no such payment: nothing was charged.',
  away: 'The reader can’t be reached. Look it up once it is back; the buyer need not pay twice.',
};

function Big({ main, onClick, children }: { main?: boolean; onClick: () => void; children: string }) {
  return (
    <button
      type="button"
      className={`min-h-12 rounded px-4 text-[17px] font-bold ${
        main ? 'bg-woad text-white' : 'border-2 border-ink bg-white'
      }`}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
