import type { Schemas } from '../api/client';

type Difference = Schemas['Difference'];

const WORDS: Record<Difference['kind'], string> = { ADDED: 'new', GONE: 'gone', CHANGED: '' };

/** What is different in a design than before: part by part, what was struck through and what is. */
export function Differences({ differences }: { differences: Difference[] }) {
  const parts = [...new Set(differences.map((one) => one.part))];
  if (parts.length === 0) return <p className="text-soft">Nothing is different.</p>;
  return (
    <dl className="grid gap-x-4 gap-y-3 sm:grid-cols-[8.5rem_1fr]">
      {parts.map((part) => (
        <div key={part} className="contents">
          <dt className="font-semibold text-soft">{part}</dt>
          <dd className="space-y-1.5">
            {differences
              .filter((one) => one.part === part)
              .map((one, i) => (
                <Row key={i} difference={one} />
              ))}
          </dd>
        </div>
      ))}
    </dl>
  );
}

function Row({ difference: { name, kind, fields } }: { difference: Difference }) {
  return (
    <div>
      {name && <span className={`font-semibold ${kind === 'GONE' ? 'line-through' : ''}`}>{name}</span>}{' '}
      {WORDS[kind] && <span className="text-soft">{WORDS[kind]}</span>}
      <ul className={name ? 'ml-4' : ''}>
        {fields.map((field) => (
          <li key={field.field}>
            <span className="text-soft">{field.field}:</span>{' '}
            {field.before && (
              <>
                <span className="sr-only">was </span>
                <del className="text-soft">{field.before}</del>
                <span className="sr-only">, is</span>{' '}
              </>
            )}
            {field.after ? <ins className="no-underline">{field.after}</ins> : kind !== 'ADDED' && 'nothing'}
          </li>
        ))}
      </ul>
    </div>
  );
}
