import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { TextField } from '../../ui/Field';
import { Panel } from '../../ui/Panel';
import { useUnits } from '../../ui/units';
import { useSettled } from '../../ui/useSettled';
import { WorkedFigure } from '../../ui/WorkedFigure';
import { useRules } from './FormulaInput';
import { SubjectDrawing } from './SubjectDrawing';

type Rule = Schemas['RuleView'];

/** The trade's constructions as functions for formulas: each drawn, in words, and to be tried both ways. */
export default function RulesPanel({ onClose }: { onClose: () => void }) {
  const { data } = useRules();
  const [search, setSearch] = useState('');
  const wanted = search.trim().toLowerCase();
  const subjects = data?.subjects
    .map((subject) => ({
      ...subject,
      ways: subject.ways.filter((way) =>
        [subject.title, way.school, way.cut.call, way.cut.sentence, way.wanted?.call ?? '']
          .join(' ')
          .toLowerCase()
          .includes(wanted),
      ),
    }))
    .filter((subject) => subject.ways.length > 0);
  return (
    <Panel title="Rules for formulas" open wide onOpenChange={(open) => !open && onClose()}>
      <TextField
        label="Find a rule"
        value={search}
        placeholder="strap, casing, fold …"
        onChange={(event) => setSearch(event.target.value)}
      />
      {subjects?.length === 0 && <p className="text-soft">No rule says that.</p>}
      {subjects?.map((subject) => (
        <section key={subject.subject} className="mt-4" aria-label={subject.title}>
          <h2>{subject.title}</h2>
          <ul className="divide-y divide-line">
            {subject.ways.map((way) => (
              <li key={way.school} className="grid grid-cols-[72px_1fr] gap-3 py-2">
                <SubjectDrawing subject={subject.subject} rule={way.cut.name} />
                <div>
                  <b>{way.school}</b>
                  <RuleLine rule={way.cut} />
                  {way.wanted && way.wanted.name !== way.cut.name && <RuleLine rule={way.wanted} back />}
                </div>
              </li>
            ))}
          </ul>
        </section>
      ))}
      <h2 className="mt-4">Plain arithmetic</h2>
      <p className="text-soft">
        {data?.functions.map((f) => (
          <span key={f.name} className="block">
            <code className="text-ink">{f.name}</code> gives {f.gives}
          </span>
        ))}
        <span className="block">
          <code className="text-ink">+ − × ÷</code>, brackets, <code className="text-ink">pi</code>, lengths
          like <code className="text-ink">1/4 in</code>, angles like <code className="text-ink">60°</code>
        </span>
      </p>
    </Panel>
  );
}

function RuleLine({ rule, back }: { rule: Rule; back?: boolean }) {
  const [trying, setTrying] = useState(false);
  return (
    <div className="mt-0.5">
      <div className="flex items-start justify-between gap-3">
        <span>
          {back && <span className="text-soft">and back: </span>}
          <code className="font-semibold text-woad">{rule.call}</code>
          <span className="block text-[14px]">{rule.sentence}</span>
        </span>
        <button
          type="button"
          aria-expanded={trying}
          aria-label={`Try ${rule.name}`}
          className="min-h-9 px-2 font-semibold text-woad hover:underline"
          onClick={() => setTrying(!trying)}
        >
          Try it
        </button>
      </div>
      {trying && <TryRule rule={rule} />}
    </div>
  );
}

function TryRule({ rule }: { rule: Rule }) {
  const units = useUnits();
  const [values, setValues] = useState<Record<string, string>>({});
  const settled = useSettled(values, 120);
  const { data } = useQuery({
    queryKey: ['construction', rule.name, settled],
    queryFn: ({ signal }) =>
      api.post<Schemas['RuleAnswer']>(
        '/api/constructions/worked',
        { rule: rule.name, values: settled },
        signal,
      ),
    placeholderData: keepPreviousData,
  });
  return (
    <div className="mt-1 rounded bg-ground p-3">
      <div className="grid grid-cols-2 gap-x-3 gap-y-1 md:grid-cols-4">
        {rule.parameters.map((parameter) => (
          <TextField
            key={parameter.symbol}
            label={parameter.label}
            value={values[parameter.symbol] ?? ''}
            error={data?.problems.find((p) => p.field === parameter.symbol)?.sentence}
            onChange={(event) => setValues({ ...values, [parameter.symbol]: event.target.value })}
          />
        ))}
      </div>
      <p className="mt-1" aria-live="polite">
        {data?.working ? (
          <>
            gives{' '}
            <WorkedFigure label={rule.name} working={data.working}>
              {data.length ? units.own(data.length) : data.text}
            </WorkedFigure>
            {data.length && <span className="text-soft"> · {units.other(data.length)}</span>}
          </>
        ) : (
          <span className="text-soft">Type all values to see what it gives.</span>
        )}
      </p>
    </div>
  );
}
