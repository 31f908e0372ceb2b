import type { Question } from '@/core/model/question';
import type { Planner } from './plan';

/** Keeps a question (`before` null), or changes what a kept one asks or is called. */
export const keepQuestion: Planner<{ before: Question | null; question: Question }> = (
  _,
  { before, question },
) => ({
  label: `${before ? 'Changed' : 'Kept'} the question ${question.name}`,
  edits: [{ type: 'question', before, after: question }],
});

export const removeQuestion: Planner<{ id: string }> = ({ records }, { id }) => {
  const before = records.get('question', id);
  if (!before) return null;
  return {
    label: `Removed the question ${before.name}`,
    edits: [{ type: 'question', before, after: null }],
  };
};
