import { createElement } from 'react';
import { renderToString } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import type { ResultsView, Wire } from '../../contract';
import { toJson } from '../../ui/wire';
import { Results } from './Results';

const view = (name: string, mark: number): Wire<ResultsView> => ({
  release: {
    id: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0201',
    title: 'Drying',
    course: 'Receiving',
    courseId: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0101',
    edition: 1,
    createdAt: '2026-11-02T09:00:00.000Z' as Wire<Date>,
  },
  rows: [
    {
      learnerId: 'e5b5e2f6-55cf-4d55-a6c7-6d8f6c1d0001',
      name,
      username: 'clover',
      mark,
      max: 8,
      attempt: null,
      byHand: false,
      tries: 1,
      state: 'checked',
      late: false,
      seconds: 40,
      sittings: [],
    },
  ],
  total: 1,
  begun: 1,
  from: 0,
});
const drawn = (name: string, mark: number) =>
  renderToString(createElement(Results, { json: toJson(view(name, mark)) as never }));

describe('the results as the server draws them', () => {
  test('each request gets its own: nothing is left of the one before', () => {
    expect(drawn('Clover Hartnell', 3)).toContain('Clover Hartnell');
    const later = drawn('Clover Hartnell-Reed', 5);
    expect(later).toContain('Clover Hartnell-Reed');
    expect(later).toContain('>5<');
  });
});
