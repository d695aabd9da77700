import { jest } from '@jest/globals';
import { judgeGate } from '@iron-cradle/core';
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { atJob } from '../../testing/atJob.tsx';
import { GateRail } from './GateRail.tsx';

/** The hand's own clock: a busy machine makes no two taps further apart than they are. */
let clock = 10_000;
const moment = (ms: number) =>
  act(async () => {
    clock += ms;
    await new Promise((resolve) => setTimeout(resolve, 5));
  });
beforeAll(() => void jest.spyOn(performance, 'now').mockImplementation(() => clock));
afterAll(() => void jest.restoreAllMocks());
const question = () => screen.getByRole('heading', { level: 2 }).textContent;

describe('a gate', () => {
  test('two taps 120 ms apart answer one question; a third, once it was read, the next', async () => {
    const user = userEvent.setup();
    const job = atJob(<GateRail gate={1} pass="Gate 1: it may be opened" onPassed={() => undefined} />);
    const asked = judgeGate(job.state(), 1).filter((j) => j.item.answers.length > 0);
    expect(question()).toBe(asked[0]!.item.question);
    await moment(450);
    const answers = () => job.log.filter((e) => e.kind === 'gateItem').length;
    const first = () => document.querySelector('[data-answer]')!;
    const before = question();
    await user.click(first());
    await waitFor(() => expect(question()).not.toBe(before));
    expect(answers()).toBe(1);
    await moment(120);
    await user.click(first());
    await moment(50);
    expect(answers()).toBe(1);
    await moment(400);
    await user.click(first());
    await waitFor(() => expect(answers()).toBe(2));
  });
});
