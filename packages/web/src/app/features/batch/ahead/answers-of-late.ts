/** Answers of late, by their questions: whoever goes to another page and back asks nothing anew. */
export interface AnswersOfLate<Q, A> {
  readonly of: (question: Q) => A | null;
  readonly keep: (question: Q, answer: A) => void;
}

/**
 * Remembers answers for as long as the window is open.
 *
 * @param most - how many; the one that was asked for longest ago is forgotten first
 */
export function createAnswersOfLate<Q, A>(most: number): AnswersOfLate<Q, A> {
  const answers = new Map<string, A>();
  const keep = (key: string, answer: A): void => {
    answers.delete(key);
    answers.set(key, answer);
    const [oldest] = answers.keys();
    if (answers.size > most && oldest !== undefined) answers.delete(oldest);
  };
  return {
    of: (question) => {
      const key = JSON.stringify(question);
      const answer = answers.get(key);
      if (answer === undefined) return null;
      keep(key, answer);
      return answer;
    },
    keep: (question, answer) => keep(JSON.stringify(question), answer),
  };
}
