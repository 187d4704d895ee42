import { useEffect, useState } from 'react';
import type { Prompt } from './prompts';
import type { Turn } from './progress';

const STORED = 'mardun.read-aloud';

/** Whether the browser has a voice. */
export const canReadAloud = () => 'speechSynthesis' in window;

/** Whether the maker wants to be read to. */
export function useAloud(): [boolean, (on: boolean) => void] {
  const [aloud, setAloud] = useState(() => localStorage.getItem(STORED) === 'yes');
  return [
    aloud,
    (on) => {
      localStorage.setItem(STORED, on ? 'yes' : 'no');
      setAloud(on);
    },
  ];
}

/** What is said of a step when it comes up: its name, and what to change. */
export const spoken = (turn: Turn) =>
  [turn.name, turn.changes.length > 0 && `Change ${turn.changes.join(', ')}`].filter(Boolean).join('. ');

/** Reads each step when it comes up, and within it what comes next, by the browser's own voice. */
export function useReadAloud(on: boolean, turn: Turn | undefined, prompt: Prompt | undefined) {
  const step = turn && spoken(turn);
  const next = prompt?.text;
  useEffect(() => {
    if (!on || !step || !canReadAloud()) return;
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(step));
  }, [on, step]);
  useEffect(() => {
    if (!on || !next || !canReadAloud()) return;
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(next));
  }, [on, next]);
}
