import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import ICAL from 'ical.js';
import { expect, it } from 'vitest';

/** What the server writes, read by an implementation of RFC 5545 that shares nothing with it. */
it('reads the invitation back with ical.js', () => {
  const text = readFileSync(join(import.meta.dirname, '../../../../tests/fixtures/invitation.ics'), 'utf8');
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
  expect(calendar.getFirstPropertyValue('method')).toBe('REQUEST');
  const component = calendar.getFirstSubcomponent('vevent');
  if (!component) throw new Error('there is no event');
  const event = new ICAL.Event(component);
  expect(event.uid).toBe('fixture@telamon');
  expect(event.sequence).toBe(2);
  expect(event.summary).toBe('Tuning; with, signs, Marrowby Piano Workshop');
  expect(event.location).toBe('7 Weir Cottages, Marrowby');
  expect(event.startDate.toJSDate().toISOString()).toBe('2027-03-29T09:00:00.000Z');
  expect(event.endDate.toJSDate().toISOString()).toBe('2027-03-29T10:00:00.000Z');
  expect(event.attendees[0]?.getFirstValue()).toBe('mailto:orla@example.com');
  expect(event.attendees[0]?.getParameter('cn')).toBe('Órla Fennick');
});
