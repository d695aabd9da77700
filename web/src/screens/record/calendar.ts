import { followUps, inWords, type JobState } from '@iron-cradle/core';
import ical from 'ical-generator';
import { addDays, parseISO } from 'date-fns';

/**
 * Follow-ups with a day as a calendar file: whole days, one event each, the same again where it is saved once more.
 *
 * @example calendarOf(state, 4).includes('BEGIN:VEVENT')
 */
export function calendarOf(state: JobState, number: number): string {
  const calendar = ical({
    name: `${state.name}, job ${number}`,
    prodId: { company: 'Iron Cradle', product: 'follow-ups' },
  });
  for (const { id, text, due, done } of followUps(state)) {
    if (due === null || done) continue;
    const start = parseISO(due);
    calendar.createEvent({
      id: `${state.jobId}-${id}`,
      start,
      end: addDays(start, 1),
      allDay: true,
      summary: `${state.name}: ${inWords(text)}`,
      description: `Job ${number}. The service information for the vehicle comes first.`,
    });
  }
  return calendar.toString();
}
