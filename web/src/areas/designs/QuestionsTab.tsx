import { useState, type ReactNode } from 'react';
import { api, type Problem, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { sides, useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { WorkedFigure } from '../../ui/WorkedFigure';
import { useEditing } from './editing';

/** Two questions about a design: does a thing go in, and why did it come out different. */
export default function QuestionsTab() {
  return (
    <div className="grid gap-6 md:grid-cols-2">
      <FitQuestion />
      <DiagnosisQuestion />
    </div>
  );
}

function Asking({
  title,
  says,
  fields,
  values,
  problem,
  button,
  pending,
  onType,
  onAsk,
  children,
}: {
  title: string;
  says: string;
  fields: (readonly [string, string])[];
  values: Record<string, string>;
  problem?: Problem;
  button: string;
  pending: boolean;
  onType: (key: string, text: string) => void;
  onAsk: () => void;
  children: ReactNode;
}) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <p className="text-soft">{says}</p>
      <form
        noValidate
        className="mt-2 space-y-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!pending) onAsk();
        }}
      >
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          {fields.map(([key, label]) => (
            <TextField
              key={key}
              label={label}
              value={values[key] ?? ''}
              error={problem?.on(key)}
              onChange={(event) => onType(key, event.target.value)}
            />
          ))}
        </div>
        {problem && problem.errors.length === 0 && <ProblemNotice problem={problem} />}
        <Button type="submit" look="quiet" disabled={pending}>
          {button}
        </Button>
      </form>
      <div className="mt-3" aria-live="polite">
        {children}
      </div>
    </section>
  );
}

const NOTHING = { width: '', height: '', depth: '', ease: '', across: '' };

function FitQuestion() {
  const { document, shown } = useEditing();
  const units = useUnits();
  const [typed, setTyped] = useState(NOTHING);
  const ask = useSend(() =>
    api.post<Schemas['FitAnswer']>('/api/designs/fit', {
      document,
      size: shown?.size ?? '',
      width: typed.width,
      height: typed.height,
      depth: typed.depth,
      ease: typed.ease,
    }),
  );
  return (
    <Asking
      title="Does it go in?"
      says={`A thing’s three sides against the bag (${shown?.size ?? ''}), put in any way, end first too.`}
      fields={[
        ['width', 'Its width'],
        ['height', 'Its height'],
        ['depth', 'Its thickness'],
        ['ease', 'Ease in a flat bag'],
      ]}
      values={typed}
      problem={ask.problem}
      button="Ask"
      pending={ask.isPending}
      onType={(key, text) => setTyped({ ...typed, [key]: text })}
      onAsk={() => ask.mutate(undefined)}
    >
      {ask.data && (
        <>
          <Notice look={ask.data.fits ? 'ok' : 'care'}>{ask.data.sentence}</Notice>
          <table className="listing mt-1">
            <thead>
              <tr>
                <th>What</th>
                <th className="num">needs</th>
                <th className="num">there is</th>
              </tr>
            </thead>
            <tbody>
              {ask.data.comparisons.map((c) => (
                <tr key={c.label}>
                  <td>
                    {c.label}
                    {!c.fits && <span className="text-madder"> · too little</span>}
                  </td>
                  <td className="num">
                    <WorkedFigure label={`${c.label}, needed`} working={c.needed.working}>
                      {units.own(c.needed.value)}
                    </WorkedFigure>
                  </td>
                  <td className="num">
                    <WorkedFigure label={`${c.label}, there`} working={c.there.working}>
                      {units.own(c.there.value)}
                    </WorkedFigure>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {ask.data.places.length > 0 && (
            <ul className="mt-2 space-y-1" aria-label="Pockets and gaps">
              {ask.data.places.map((place, i) => (
                <li key={i}>
                  <Tag look={place.fits ? 'ok' : 'care'}>{place.fits ? 'goes in' : 'too large'}</Tag>{' '}
                  {place.name}{' '}
                  {place.comparisons.map((c) => (
                    <span key={c.label} className="text-soft">
                      {c.label}: needs{' '}
                      <WorkedFigure label={`${place.name}, needed`} working={c.needed.working}>
                        {units.own(c.needed.value)}
                      </WorkedFigure>{' '}
                      of {units.own(c.there.value)}
                    </span>
                  ))}
                  {place.more && <span className="block text-soft">{place.more}</span>}
                </li>
              ))}
            </ul>
          )}
        </>
      )}
    </Asking>
  );
}

function DiagnosisQuestion() {
  const { document, shown } = useEditing();
  const units = useUnits();
  const [typed, setTyped] = useState(NOTHING);
  const ask = useSend(() =>
    api.post<Schemas['DiagnosisAnswer']>('/api/designs/diagnosis', {
      document,
      size: shown?.size ?? '',
      width: typed.width,
      height: typed.height,
      depth: typed.depth,
      across: typed.across,
    }),
  );
  const labels = shown?.finished?.measures.map((m) => m.label) ?? [];
  const hasTop = labels.includes('Top edge');
  const fields = [
    ['width', `${labels[0] ?? 'Width'}, as sewn`],
    ['height', `${labels[1] ?? 'Height'}, as sewn`],
    ...(labels[2] && labels[2] !== 'Top edge' ? [['depth', `${labels[2]}, as sewn`] as const] : []),
    ...(hasTop ? [['across', 'Top edge, as sewn'] as const] : []),
  ] as (readonly [string, string])[];
  return (
    <Asking
      title="Why did it come out different?"
      says="Sew the first one, measure it, type what it measures. Leave empty what you didn’t measure."
      fields={fields}
      values={typed}
      problem={ask.problem}
      button="Explain it"
      pending={ask.isPending}
      onType={(key, text) => setTyped({ ...typed, [key]: text })}
      onAsk={() => ask.mutate(undefined)}
    >
      {ask.data && (
        <>
          <Notice look={ask.data.asPlanned ? 'ok' : 'care'}>{ask.data.sentence}</Notice>
          <ol className="mt-2 space-y-3">
            {ask.data.explanations.map((e, i) => (
              <li key={i} className="border-l-4 border-dashed border-woad-mid pl-3">
                <b>{e.slips.join(' ')}</b>
                {e.instead.map((slips) => (
                  <span key={slips.join()} className="block text-soft">
                    or: {slips.join(' ')}
                  </span>
                ))}
                <span className="block">{e.remedies.join(' ')}</span>
                <span className="block text-[13px] text-soft">
                  makes {sides(units.own(e.makes.width), units.own(e.makes.height))} ×{' '}
                  {units.own(e.makes.depth)}
                </span>
              </li>
            ))}
          </ol>
        </>
      )}
    </Asking>
  );
}
