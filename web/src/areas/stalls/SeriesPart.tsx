import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { fullDay } from '../../ui/units';

/** The fairs of a series beside one another: what each left. */
export function SeriesPart({ fair }: { fair: Schemas['FairView'] }) {
  if (fair.series.length < 2) return null;
  return (
    <section className="sheet overflow-x-auto p-4" aria-label="The series">
      <h2>The series</h2>
      <table className="listing">
        <thead>
          <tr>
            <th>Day</th>
            <th className="num">Bags</th>
            <th className="num">Left</th>
            <th className="num">an hour there</th>
          </tr>
        </thead>
        <tbody>
          {fair.series.map((one) => (
            <tr key={one.id} className={one.id === fair.id ? 'font-bold' : ''}>
              <td className="whitespace-nowrap">
                <Link className="text-woad hover:underline" to={`/stalls/${one.id}`}>
                  {fullDay(one.heldOn)}
                </Link>
              </td>
              <td className="num">{one.units || ''}</td>
              <td className="num">{one.left?.amount}</td>
              <td className="num">{one.perHourThere?.amount}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
