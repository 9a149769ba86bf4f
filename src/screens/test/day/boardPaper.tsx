import type { Board } from '../../../core/measure/day/board';
import type { Helper } from '../../../core/shapes/helper';
import { protocolById } from '../../../catalogue/protocols';
import type { StationPerson } from '../station';
import { staffName, testWord } from './dayWords';

/** The board on paper, for when the tablet dies: who goes where in which order, and a box for each result. */
export function BoardPaper({
  board,
  people,
  helpers,
}: {
  board: Board;
  people: readonly StationPerson[];
  helpers: readonly Helper[];
}) {
  const tests = [...new Set([...board.sittings.values()].flat().map((s) => s.test))];
  const nameOf = (id: string) => people.find((p) => p.id === id)?.name ?? '';
  return (
    <div className="wide-paper hidden text-[12pt] print:block" data-testid="board-paper">
      <h1 className="text-[18pt] font-extrabold">Testing day, on paper</h1>
      <div className="mt-2 flex gap-6">
        {board.stations.map(({ staff, now, queue }) => (
          <section key={staff} className="flex-1">
            <h2 className="border-b-2 border-ink text-[14pt] font-bold">{staffName(staff, helpers)}</h2>
            <ol className="list-decimal pl-6">
              {[...(now ? [{ people: now.people, tests: now.open }] : []), ...queue].map((c, i) => (
                <li key={i}>
                  {c.people.map(nameOf).join(' and ')}: {c.tests.map(testWord).join(', ')}
                </li>
              ))}
            </ol>
          </section>
        ))}
      </div>
      <table className="mt-4 w-full border-collapse">
        <thead>
          <tr>
            <th className="border-2 border-ink p-1 text-left">Name</th>
            {tests.map((id) => (
              <th key={id} className="border-2 border-ink p-1 text-left">
                {testWord(id)}, {protocolById(id)?.unit}
              </th>
            ))}
            <th className="border-2 border-ink p-1 text-left">seat, aid, word</th>
          </tr>
        </thead>
        <tbody>
          {people.map((p) => (
            <tr key={p.id} className="break-inside-avoid">
              <th className="border border-ink p-1 text-left">{p.name}</th>
              {tests.map((id) => {
                const sat = board.sittings.get(p.id)?.find((s) => s.test === id);
                return (
                  <td key={id} className="h-9 min-w-20 border border-ink p-1">
                    {!sat
                      ? '–'
                      : sat.state === 'open'
                        ? ''
                        : sat.values.length > 0
                          ? sat.values.join(' · ')
                          : sat.state}
                  </td>
                );
              })}
              <td className="w-48 border border-ink p-1" />
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
