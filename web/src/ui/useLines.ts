import { useRef, useState } from 'react';
import { Problem } from '../api/client';
import { useSend } from './useSend';
import { uuid } from './uuid';

export interface Line {
  /** So that a line that is sent twice is entered once. */
  id: string;
  text: string;
}

/**
 * Lines that are typed and entered one after the other. The field is free for the next one at once, also while the one before is on its
 * way; a line that isn’t taken comes back into the field, or is named where the next one stands there already.
 */
export function useLines<Got>(take: (line: Line) => Promise<Got>) {
  const [text, setText] = useState('');
  const [refused, setRefused] = useState<{ line: Line; sentence: string }>();
  const before = useRef<Promise<unknown>>(Promise.resolve());
  const { mutateAsync } = useSend(take);
  const enter = () => {
    const line = { id: refused?.line.text === text ? refused.line.id : uuid(), text };
    setText('');
    setRefused(undefined);
    before.current = before.current
      .then(() => mutateAsync(line))
      .catch((problem: unknown) => {
        setText((now) => (now === '' ? line.text : now));
        setRefused({
          line,
          sentence:
            problem instanceof Problem ? (problem.errors[0]?.sentence ?? problem.message) : String(problem),
        });
      });
  };
  const isBack = refused?.line.text === text;
  return {
    text,
    type: setText,
    enter,
    error: refused && (isBack ? refused.sentence : `“${refused.line.text}” isn’t kept: ${refused.sentence}`),
  };
}
