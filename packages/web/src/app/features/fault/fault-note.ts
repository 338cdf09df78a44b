import type { FaultCause } from '@trug/core';
import { FAULT_QUESTIONS, type FaultAnswers } from '@trug/core/book/faults/fault-questions';
import { FAULT_NOTE_LEAD } from '@trug/core/book/faults/signs-in-notes';

/** What was found, as a note for the log: the causes, and the answers they rest on. */
export function noteOf(answers: FaultAnswers, causes: readonly FaultCause[]): string {
  const said = FAULT_QUESTIONS.flatMap((q) => q.answers.find((a) => a.id === answers[q.id])?.text ?? []);
  const named = causes.slice(0, 2).map((c) => `${c.fault.name}, ${c.confidence}`);
  return `${FAULT_NOTE_LEAD} ${named.join('; ')}. Seen: ${said.join('; ') || 'nothing yet'}.`;
}
