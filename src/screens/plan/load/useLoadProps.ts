import { usePlan } from '../PlanProvider';

/** What the hours of the sheet are reckoned from. */
export function useLoadProps() {
  const { content, place, calendars, categories, preferences } = usePlan();
  return { query: content.query, range: place.range, calendars, categories, preferences };
}
