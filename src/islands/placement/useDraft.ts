import { useState } from 'react';

export type Answer = 'alone' | 'support' | 'stuck';

/** Answers of this sitting, kept in the tab so that a reload loses nothing. */
export function useDraft(learner: string): [ReadonlyMap<string, Answer>, (answers: ReadonlyMap<string, Answer>) => void] {
  const key = `placement:${learner}`;
  const [answers, setAnswers] = useState<ReadonlyMap<string, Answer>>(() => {
    try {
      return new Map(JSON.parse(sessionStorage.getItem(key) ?? '[]') as [string, Answer][]);
    } catch {
      return new Map();
    }
  });
  return [
    answers,
    (next) => {
      setAnswers(next);
      if (next.size === 0) sessionStorage.removeItem(key);
      else sessionStorage.setItem(key, JSON.stringify([...next]));
    },
  ];
}
