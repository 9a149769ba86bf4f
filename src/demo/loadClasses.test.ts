import { expect, test } from 'vitest';
import { readProposals } from '../use-cases/proposals';
import { readClasses } from '../use-cases/classes';
import { deskOf } from '../use-cases/desk';
import { demoCopy } from './demoCopy';
import { loadClasses } from './loadClasses';

test(
  'eight weeks of two groups: every row of what follows from a class is there to be seen',
  { timeout: 120_000 },
  async () => {
    const today = '2026-03-02';
    const db = await demoCopy(today);
    await loadClasses(db, today);
    const desk = deskOf(db, today);
    const { classes } = await readClasses(desk);
    expect(classes.map((c) => c.state)).toEqual(Array.from({ length: 24 }, () => 'closed'));
    const rows = new Map<string, number>();
    for (const { key } of classes)
      for (const { proposal } of await readProposals(desk, key))
        rows.set(proposal.row, (rows.get(proposal.row) ?? 0) + 1);
    const wanted = ['G4', ...Array.from({ length: 17 }, (_, i) => `P${i + 1}`)];
    expect(wanted.filter((row) => !rows.has(row))).toEqual([]);
    await db.destroy();
  },
);
