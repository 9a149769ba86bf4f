import { describe, expect, test } from 'vitest';
import { protocolById, protocols } from '../../catalogue/protocols';
import { blank, cellNames, isWritten, rowsOf, toLine, wrongCells } from './sheetRows';

const named = (id: string) => {
  const found = protocolById(id);
  if (!found) throw new Error(`no test ${id}`);
  return found;
};
const ada = { id: 'ada', name: 'Ada' };
const row = (id: string) => {
  const [first] = rowsOf([ada], [named(id)]);
  if (!first) throw new Error('no row');
  return first;
};
const line = (id: string, written: object) => toLine(row(id), { ...blank, ...written }, 'key-1');

describe('lines of a sheet', () => {
  test('a test of both sides has two lines a person, every other test one', () => {
    for (const protocol of protocols)
      expect(rowsOf([ada, { id: 'bo', name: 'Bo' }], [protocol])).toHaveLength(protocol.sides === 'both' ? 4 : 2);
  });
  test('down a group the name stands at the line, on the sheet of one person the test', () => {
    expect(rowsOf([ada], [named('one-leg')]).map((r) => r.label)).toEqual(['Ada, left', 'Ada, right']);
    expect(rowsOf([ada], [named('one-leg'), named('heel-rise')]).map((r) => r.label)).toEqual([
      'One leg, left',
      'One leg, right',
      'Heel raises',
    ]);
  });
  test('as many cells as tries; the four positions ask for seconds', () => {
    expect(cellNames(named('one-leg'))).toEqual(['try 1, s', 'try 2, s', 'try 3, s']);
    expect(cellNames(named('four-stage'))).toEqual(['side by side, s', 'semi-tandem, s', 'tandem, s', 'one leg, s']);
    expect(cellNames(named('chair-stand-30s'))).toEqual(['stands']);
  });
});

describe('cells that cannot be', () => {
  test.each([
    ['one-leg', ['4.2', '8s', '', '61000'], [false, true, false, true]],
    ['chair-stand-30s', ['9.5'], [true]],
    ['four-stage', ['10', 'ten', '-1', '6'], [false, true, true, false]],
  ] as const)('%s %j', (id, cells, wrong) => {
    expect(wrongCells(named(id), { ...blank, cells })).toEqual(wrong);
    expect(wrongCells(named(id), { ...blank, cells, outcome: 'unable' })).not.toContain(true);
  });
});

describe('what is written', () => {
  test('a comma is a point, empty cells are no tries, and what is no number is sent as it stands to be told of', () => {
    expect(line('one-leg', { cells: ['4,2', '', ' 8.1 '] })).toMatchObject({ tries: [4.2, 8.1], side: 'L' });
    expect(line('one-leg', { cells: ['4s'] })).toMatchObject({ tries: ['4s'] });
  });
  test('hands and clean stands go with the chair stand only', () => {
    const hands = { cells: ['9'], handsUsed: true, clean: '4' };
    expect(line('chair-stand-30s', hands)).toMatchObject({ handsUsed: true, cleanBeforeHands: 4 });
    expect(line('five-stands', { ...hands, clean: '' })).toMatchObject({ cleanBeforeHands: null });
  });
  test('positions are sent as seconds; those left open are 0', () => {
    expect(line('four-stage', { cells: ['10', '10', '6.5', ''] })).toMatchObject({
      tries: [],
      seconds: { sideBySide: 10, semiTandem: 10, tandem: 6.5, oneLeg: 0 },
    });
    expect(line('four-stage', { cells: ['', '10'] })).toMatchObject({
      seconds: { sideBySide: 0, semiTandem: 10, tandem: 0, oneLeg: 0 },
    });
    expect(line('four-stage', { cells: ['10'], outcome: 'unable' })).toMatchObject({ seconds: null });
  });
  test('help is a fact of the floor transfer alone, and of one that was done', () => {
    expect(line('floor-transfer', { cells: ['20'], help: 'person' })).toMatchObject({ help: 'person' });
    expect(line('floor-transfer', { outcome: 'not-tried', help: 'person' })).toMatchObject({ help: null });
    expect(line('heel-rise', { cells: ['20'], help: 'person' })).toMatchObject({ help: null });
  });
  test('the chosen side is the one noted, not the one of the line', () => {
    expect(line('arm-curl', { cells: ['14'], side: 'R' })).toMatchObject({ side: 'R' });
  });
  test('an outcome without a figure is written, blanks are not', () => {
    expect([blank, { ...blank, cells: ['', ' '] }, { ...blank, outcome: 'unable' as const }].map(isWritten)).toEqual([
      false,
      false,
      true,
    ]);
  });
});
