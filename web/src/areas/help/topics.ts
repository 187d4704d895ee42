const FILES = import.meta.glob<string>('../../../../docs/rules/*.md', { query: '?raw', import: 'default' });

/** The topics in the order of the work. */
const ORDER = [
  'glossary',
  'measures',
  'kinds',
  'construction',
  'choices',
  'templates',
  'revisions',
  'cloth',
  'stock',
  'buying',
  'batches',
  'cutting',
  'order',
  'time',
  'days',
  'bench',
  'cost-and-price',
  'tickets',
  'stalls',
  'online-shop',
  'orders',
  'season',
  'year',
];

export interface Topic {
  key: string;
  title: string;
  text: string;
}

/** A part of a topic that is found by its name. */
export interface Rule {
  topic: string;
  name: string;
}

const keyOf = (path: string) => path.replace(/^.*\/|\.md$/g, '');

/** The names that rules have in the program say nothing to who sews. */
const readable = (text: string) => text.replace(/\s\((?:`[^`]+`(?:, | and )?)+\)/g, '');

/** Every topic, as it stands in the handbook of rules. */
export async function allTopics(): Promise<Topic[]> {
  const read = await Promise.all(
    Object.entries(FILES).map(async ([path, load]) => {
      const text = readable(await load());
      return { key: keyOf(path), title: /^# (.+)$/m.exec(text)?.[1] ?? keyOf(path), text };
    }),
  );
  const place = ({ key }: Topic) => (ORDER.indexOf(key) + ORDER.length + 1) % (ORDER.length + 1);
  return read.sort((one, other) => place(one) - place(other));
}

/** The rules of a topic: what its paragraphs begin with in bold. */
export const rulesOf = ({ key, text }: Topic): Rule[] =>
  [...text.matchAll(/^\*\*([^*]+?)[.:]?\*\*/gm)].map(([, name = '']) => ({ topic: key, name }));
