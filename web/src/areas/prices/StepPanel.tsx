import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';

type Place = Schemas['PricePlace'];
type Stepped = Schemas['SteppedView'];

/** Several prices go up or down together; what they become stands there before they do. */
export function StepPanel({
  places,
  onClose,
  onDone,
}: {
  places: Place[];
  onClose: () => void;
  onDone: () => void;
}) {
  const [points, setPoints] = useState(1);
  const [percent, setPercent] = useState('');
  const [reason, setReason] = useState('');
  const typed = { points: percent.trim() ? 0 : points, percent: percent.trim() };
  const asked = useSettled(typed, 250);
  /** What stands in the table is what would be set. */
  const isShown = typed.points === asked.points && typed.percent === asked.percent;
  const { data, error, isFetching } = useQuery({
    queryKey: ['price-step', places, asked],
    queryFn: () => api.post<Stepped[]>('/api/prices/step', { places, ...asked }),
    placeholderData: keepPreviousData,
    gcTime: 0,
    retry: false,
  });
  /** What stands in the table is set as it stands there: touched twice it is the same. */
  const keep = useSend((what: Schemas['SetForm']) => api.post('/api/prices', what), onDone);
  const wrong = error instanceof Problem ? error.errors.find((one) => one.field === 'percent') : undefined;
  return (
    <Panel
      title={`Change ${places.length} prices together`}
      open
      wide
      onOpenChange={(open) => !open && onClose()}
    >
      <form
        noValidate
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate({
            prices: (data ?? []).map((row) => ({ place: row.place, price: row.after.amount })),
            reason,
          });
        }}
      >
        <div className="grid items-start gap-3 md:grid-cols-3">
          <div>
            <span className="mb-1 block text-[13px] font-semibold text-soft">By price points</span>
            <div className="flex items-center gap-2">
              <Button look="quiet" aria-label="One price point less" onClick={() => setPoints(points - 1)}>
                −
              </Button>
              <output className="w-10 text-center text-lg font-semibold" aria-label="Price points">
                {points > 0 ? `+${points}` : points}
              </output>
              <Button look="quiet" aria-label="One price point more" onClick={() => setPoints(points + 1)}>
                +
              </Button>
            </div>
          </div>
          <TextField
            label="or by per cent"
            inputMode="decimal"
            hint="up to the next price point"
            value={percent}
            error={wrong?.sentence}
            onChange={(event) => setPercent(event.target.value)}
          />
          <TextField
            label="Why"
            maxLength={300}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
        </div>
        {error && !wrong && <ProblemNotice problem={error} />}
        <div className="max-h-[46vh] overflow-y-auto">
          <table className={`listing w-full ${isFetching ? 'opacity-60' : ''}`}>
            <thead>
              <tr>
                <th>Bag</th>
                <th className="num">Now</th>
                <th className="num">Then</th>
                <th className="num">An hour now</th>
                <th className="num">then</th>
              </tr>
            </thead>
            <tbody>
              {data?.map((row) => (
                <tr key={`${row.place.designId} ${row.place.sizeKey} ${row.place.clothId ?? ''}`}>
                  <td>
                    {row.design}
                    {row.size && `, ${row.size}`}
                    {row.cloth && `, ${row.cloth}`}
                  </td>
                  <td className="num">{row.before.amount}</td>
                  <td className="num font-bold">{row.after.amount}</td>
                  <td className="num">{row.perHourBefore?.amount}</td>
                  <td className="num">{row.perHourAfter?.amount}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {data && data.length < places.length && (
            <p className="py-2 text-soft">
              {places.length - data.length} of them have no price yet: something of their cost is missing.
            </p>
          )}
        </div>
        <ProblemNotice problem={keep.problem} />
        <Button
          type="submit"
          disabled={keep.isPending || isFetching || !isShown || !data || data.length === 0 || !!error}
        >
          Set these prices
        </Button>
      </form>
    </Panel>
  );
}
