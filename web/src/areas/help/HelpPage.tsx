import { useQuery } from '@tanstack/react-query';
import { Marked } from 'marked';
import { useEffect, useMemo, useRef } from 'react';
import { NavLink, useParams, useSearchParams } from 'react-router';
import { useTitle } from '../../ui/useTitle';
import { allTopics } from './topics';

const marked = new Marked({ gfm: true });

/** The rules that everything is reckoned by, to be read, and the words of the trade. */
export default function HelpPage() {
  const { topic } = useParams();
  const [params] = useSearchParams();
  const { data } = useQuery({ queryKey: ['topics'], queryFn: allTopics, staleTime: Infinity });
  const shown = data?.find(({ key }) => key === topic) ?? data?.[0];
  useTitle(shown?.title ?? 'Rules');
  const page = useRef<HTMLElement>(null);
  const html = useMemo(() => (shown ? (marked.parse(shown.text) as string) : ''), [shown]);
  const rule = params.get('rule');
  useEffect(() => {
    if (!rule || !html) return;
    const found = [...(page.current?.querySelectorAll('strong') ?? [])].find(
      (strong) => strong.textContent?.replace(/[.:]$/, '') === rule,
    );
    found?.scrollIntoView?.({ block: 'center' });
  }, [rule, html]);
  if (!data) return <p className="text-soft">Opening …</p>;
  return (
    <div className="grid items-start gap-6 md:grid-cols-[190px_1fr]">
      <nav aria-label="Topics" className="md:sticky md:top-0">
        <h1 className="mb-2 text-xl">Rules and words</h1>
        <ul>
          {data.map(({ key, title }) => (
            <li key={key}>
              <NavLink
                to={`/help/${key}`}
                className={`block rounded px-2 py-1.5 hover:bg-woad-tint ${
                  key === shown?.key ? 'bg-woad-tint font-semibold' : ''
                }`}
              >
                {title}
              </NavLink>
            </li>
          ))}
        </ul>
      </nav>
      {/* The text ships with the application; nothing that anybody typed is in it. */}
      <article
        ref={page}
        className="sheet handbook max-w-[820px] p-6"
        dangerouslySetInnerHTML={{ __html: html }}
      />
    </div>
  );
}
