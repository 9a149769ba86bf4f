import { expect, test } from 'vitest';
import { laneKey } from './laneKeys';

test('four lanes: each its own column of keys, count, undo, mark, stop', () => {
  const columns = [
    ['Digit1', 'KeyQ', 'KeyA', 'KeyZ'],
    ['Digit2', 'KeyW', 'KeyS', 'KeyX'],
    ['Digit3', 'KeyE', 'KeyD', 'KeyC'],
    ['Numpad4', 'KeyR', 'KeyF', 'KeyV'],
  ];
  for (const [lane, codes] of columns.entries())
    expect(codes.map((code) => laneKey(code, false, 4, true))).toEqual(
      ['tap', 'undo', 'first-mark', 'stop'].map((deed) => ({ lanes: [lane], deed })),
    );
});

test('with Shift the last one of that lane was not full', () => {
  expect(laneKey('Digit2', true, 2, true)).toEqual({ lanes: [1], deed: 'not-full' });
});

test('Escape stops all, F8 begins all anew', () => {
  expect(laneKey('Escape', false, 3, true)).toEqual({ lanes: [0, 1, 2], deed: 'stop' });
  expect(laneKey('F8', false, 2, true)).toEqual({ lanes: [0, 1], deed: 'again' });
});

test('a single lane is counted by Space and a presenter’s clicker; with two nobody knows whom they mean', () => {
  for (const code of ['Space', 'PageDown']) {
    expect(laneKey(code, false, 1, true)).toEqual({ lanes: [0], deed: 'tap' });
    expect(laneKey(code, false, 2, true)).toBeNull();
  }
  expect(laneKey('PageUp', false, 1, true)).toEqual({ lanes: [0], deed: 'undo' });
});

test('a key of a lane that is not there does nothing, nor does a letter that is switched off', () => {
  expect(laneKey('Digit3', false, 2, true)).toBeNull();
  expect(laneKey('KeyE', false, 2, true)).toBeNull();
  expect(laneKey('KeyQ', false, 2, false)).toBeNull();
});
