import type { Intake } from '../../core/shapes/intake';
import { PrintButton } from '../touch/printButton';
import { longDay } from '../words';
import { ForGroup, type GroupChoice } from './forGroup';

/** What whoever helps must know of somebody who is down. */
export interface EmergencyLine extends Pick<Intake, 'contact' | 'clinician' | 'bloodThinners' | 'sugarLowering'> {
  readonly id: string;
  readonly name: string;
  readonly ageYears: number | null;
  readonly medicines: string;
  /** What a professional wrote that they must not do. */
  readonly limits: readonly string[];
}

interface Props {
  readonly groups: readonly GroupChoice[];
  readonly groupId: string | null;
  readonly groupName: string;
  readonly lines: readonly EmergencyLine[];
  readonly emergencyNumber: string;
  readonly hall: string;
  readonly today: string;
}

const cell = 'border border-ink px-1 py-0.5 text-left align-top';

/** A whole group on one page, for the bag: whom to call, what thins the blood or lowers sugar, what they may not do. */
export function EmergencySheet({ groups, groupId, groupName, lines, emergencyNumber, hall, today }: Props) {
  // All of them on one page, as large as they fit.
  const size = lines.length > 14 ? 'text-[9pt]' : lines.length > 8 ? 'text-[10pt]' : 'text-[11pt]';
  return (
    <div className="pt-4">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2 print:hidden">
        <h1 className="text-2xl font-extrabold">Emergency sheet of a group</h1>
        <PrintButton />
        <ForGroup path="/people/emergency" groups={groups} groupId={groupId ?? 'today'} />
      </div>
      <article
        data-emergency
        className={`wide-paper mt-4 overflow-x-auto border-2 border-ink bg-board p-4 print:overflow-visible print:border-0 print:bg-transparent print:p-0 leading-tight ${size}`}
      >
        <div className="flex flex-wrap items-baseline gap-x-8">
          <h2 className="text-[18pt] font-extrabold">In an emergency: {emergencyNumber}</h2>
          <p>
            {[hall, groupName, longDay(today)].filter((w) => w !== '').join(', ')}. Keep it closed; destroy it when the
            next one is printed.
          </p>
        </div>
        {lines.length === 0 ? (
          <p className="py-6 text-lg">Nobody is in {groupName} yet.</p>
        ) : (
          <table className="mt-2 w-full border-collapse max-md:screen:cards">
            <thead>
              <tr>
                {['Name', 'To call', 'Thins the blood', 'Lowers sugar', 'Limits', 'Clinician', 'Tablets'].map((h) => (
                  <th key={h} className={cell}>
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {lines.map((p) => (
                <tr key={p.id} className="break-inside-avoid">
                  <th className={`${cell} whitespace-nowrap`}>
                    {p.name}
                    {p.ageYears !== null && `, ${p.ageYears}`}
                  </th>
                  <td className={`${cell} w-[20%]`} data-head="To call">
                    {contactWords(p.contact)}
                  </td>
                  <td className={`${cell} font-bold`} data-head="Thins the blood">
                    {p.bloodThinners ? 'YES' : 'no'}
                  </td>
                  <td className={`${cell} font-bold`} data-head="Lowers sugar">
                    {p.sugarLowering ? 'YES' : 'no'}
                  </td>
                  <td className={cell} data-head="Limits">
                    {p.limits.join('; ') || '–'}
                  </td>
                  <td className={`${cell} w-[20%]`} data-head="Clinician">
                    {contactWords(p.clinician)}
                  </td>
                  <td className={cell} data-head="Tablets">
                    {p.medicines || '–'}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </article>
    </div>
  );
}

const contactWords = ({ name, phone }: Intake['contact']): string =>
  [name, phone].filter((w) => w !== '').join(', ') || 'not noted';
