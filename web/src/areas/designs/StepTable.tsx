import type { Schemas } from '../../api/client';

type Document = Schemas['DesignDocument'];
type StepRow = Schemas['StepRow'];

const STATIONS: Record<StepRow['station'], string> = {
  CUTTING_TABLE: 'cutting table',
  PRESS: 'press',
  MACHINE: 'machine',
  WORK_TABLE: 'work table',
};

/** The steps in order with what is on the machine and the minutes, which can be changed. */
export function StepTable({
  document,
  findings,
  onChange,
}: {
  document: Document;
  findings: Schemas['FindingView'][];
  onChange: (next: Partial<Document>) => void;
}) {
  const change = (index: number, next: Partial<StepRow>) =>
    onChange({ steps: document.steps.map((step, i) => (i === index ? { ...step, ...next } : step)) });
  const minutes = (
    index: number,
    key: 'minutesPerUnit' | 'minutesPerBatch' | 'passiveMinutes',
    label: string,
  ) => {
    const step = document.steps[index];
    const sentence = findings.find((f) => f.place === `steps.${index}.${key}`)?.sentence;
    return (
      <td className="w-[84px]">
        <input
          aria-label={`${label}, ${step?.name}`}
          aria-invalid={!!sentence}
          title={sentence}
          inputMode="decimal"
          className="field !min-h-10 text-right"
          value={step?.[key]}
          onChange={(event) => change(index, { [key]: event.target.value })}
        />
      </td>
    );
  };
  const sentences = findings.filter((f) => f.place.startsWith('steps.')).map((f) => f.sentence);
  return (
    <>
      {sentences.map((sentence) => (
        <p key={sentence} role="alert" className="mb-1 text-madder">
          {sentence}
        </p>
      ))}
      <table className="listing">
        <thead>
          <tr>
            <th>Step</th>
            <th>At the</th>
            <th className="!text-right">min each</th>
            <th className="!text-right">min once</th>
            <th className="!text-right">waiting</th>
          </tr>
        </thead>
        <tbody>
          {document.steps.map((step, i) => (
            <tr key={i}>
              <td>
                {i + 1}. {step.name}
                <span className="block text-[13px] text-soft">
                  {[
                    step.needle && `needle ${step.needle}`,
                    step.thread && `${step.thread} thread`,
                    step.foot,
                    step.stitch,
                  ]
                    .filter(Boolean)
                    .join(' · ') || step.check}
                </span>
              </td>
              <td className="text-soft">{STATIONS[step.station]}</td>
              {minutes(i, 'minutesPerUnit', 'Minutes for each')}
              {minutes(i, 'minutesPerBatch', 'Minutes once per batch')}
              {minutes(i, 'passiveMinutes', 'Minutes of waiting')}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
