import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useSettled } from '../../ui/useSettled';

/** What lay where at the end of a day, and what it had cost. */
export function GoodsOnDay({ today, onClose }: { today: string; onClose: () => void }) {
  const [typed, setTyped] = useState(today);
  const day = useSettled(typed, 200);
  const { data, error } = useQuery({
    queryKey: [...keys.finishedGoods, 'on', day],
    queryFn: () => api.get<Schemas['GoodsOnDay']>(`/api/finished-goods/on/${day}`),
    enabled: /^\d{4}-\d\d-\d\d$/.test(day),
  });
  return (
    <Panel title="Finished bags on a day" open onOpenChange={(open) => !open && onClose()}>
      <div className="space-y-3">
        <TextField
          label="At the end of"
          type="date"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        {error && <ProblemNotice problem={error} />}
        {data && !error && (
          <>
            <p>
              <b>{data.units}</b> bags, which had cost <b>{data.worth.amount}</b>
            </p>
            <table className="listing">
              <tbody>
                {data.lines.map((line) => (
                  <tr key={line.id}>
                    <td>
                      <Link
                        className="font-semibold text-woad hover:underline"
                        to={`/materials/finished/${line.id}`}
                      >
                        {line.words}
                      </Link>
                      <span className="block text-[13px] text-soft">
                        {line.places.map(({ place, units }) => `${units} ${place}`).join(' · ')}
                      </span>
                    </td>
                    <td className="num">{line.worth.amount}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        )}
      </div>
    </Panel>
  );
}
