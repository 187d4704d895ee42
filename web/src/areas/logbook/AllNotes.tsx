import { useQuery } from '@tanstack/react-query';
import { api } from '../../api/client';
import { ProblemNotice } from '../../ui/Notice';
import { pinnedTo, usePutAway, type Note } from '../../ui/PinnedNotes';
import { fullDay } from '../../ui/units';

/** All notes: those that come back, and those that had their day. */
export function AllNotes() {
  const { data, error } = useQuery({ queryKey: ['notes'], queryFn: () => api.get<Note[]>('/api/notes') });
  const putAway = usePutAway();
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  if (data.length === 0) {
    return (
      <p className="sheet p-4 text-soft">
        Nothing is noted. At the bench N notes something for next time; it comes back with the step, the
        piece, the material or the machine.
      </p>
    );
  }
  return (
    <div className="sheet px-3 py-2">
      {putAway.problem && <ProblemNotice problem={putAway.problem} />}
      <table className="listing">
        <thead>
          <tr>
            <th>Note</th>
            <th>comes back at</th>
            <th>written</th>
            <th>
              <span className="sr-only">Put away</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {data.map((note) => (
            <tr key={note.id} className={note.putAway ? 'text-soft' : ''}>
              <td className="max-w-[480px] break-words whitespace-pre-wrap">{note.text}</td>
              <td>{note.putAway ? 'put away' : pinnedTo(note)}</td>
              <td>{fullDay(note.on)}</td>
              <td className="num">
                <button
                  type="button"
                  className="min-h-9 px-2 font-semibold text-woad hover:underline"
                  onClick={() => putAway.mutate(note)}
                >
                  {note.putAway ? 'Bring back' : 'Put away'}
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
