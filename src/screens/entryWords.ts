import { styleQuestions } from '../catalogue/styles/styles';
import type { EntryContent } from '../core/shapes/intake';
import type { DayRules } from '../core/shapes/rules';
import { states, stateOfReadiness } from './states';
import { consentWords, dayWords, incidentWords, noticedWords, placeWords } from './words';

/** What was noted, in a line. */
export function entryLine(content: EntryContent, { readiness }: DayRules): string {
  switch (content.kind) {
    case 'pain':
      return content.level === 0
        ? `${placeWords(content.joint, content.side)} no longer hurts`
        : `${placeWords(content.joint, content.side)} hurts ${content.level} of 10`;
    case 'fall':
      return `a fall on ${dayWords(content.fellOn)}${content.hurt ? ', hurt' : ''}${content.lookedAt ? ', looked at' : ''}`;
    case 'screening': {
      const rows = [...readiness.questions, readiness.symptomsAtOnce];
      const yes = rows.filter((q) => content.answers[q.id] === true).map((q) => q.why);
      return `readiness questions: ${yes.length === 0 ? 'all no' : yes.join('; ')}`;
    }
    case 'carried-over':
      return `readiness noted as ${states[stateOfReadiness(content.outcome, true)].word}`;
    case 'clearance':
      return `${content.by} answered: ${content.answer.replace(/-/g, ' ')}${content.limits === '' ? '' : `, ${content.limits}`}`;
    case 'consent':
      return `${content.given ? 'agreed' : 'no longer agrees'} to ${consentWords[content.to]}`;
    case 'day-check': {
      const signs = readiness.signs.filter((s) => content.signs.includes(s.id)).map((s) => s.why);
      const skipped = content.skippedBecause === null ? '' : `left out: ${content.skippedBecause}; `;
      return `check of the day: ${skipped}${signs.length === 0 ? 'all well' : signs.join('; ')}`;
    }
    case 'incident':
      return `incident at ${content.at.slice(11, 16)}: ${content.what.map((w) => incidentWords[w]).join(', ')}${content.note === '' ? '' : `; ${content.note}`}`;
    case 'shown':
      return `seen clean in two classes: ${content.pattern}${content.rung} and the rungs under it${content.heldS === undefined ? '' : `, held ${content.heldS} s`}`;
    case 'noticed':
      return noticedWords[content.what];
    case 'coaching': {
      const question = styleQuestions.find((q) => q.id === content.question);
      const option = question?.options.find((o) => o.id === content.option);
      return `coached: ${question?.title ?? content.question}, ${option?.name ?? content.option} (${content.reason})`;
    }
    case 'swap': {
      const hurt = `${content.pattern}${content.rung} hurt at the ${content.joint}, ${content.grade}`;
      if (content.instead === null) return `${hurt}: left out for the day`;
      const changes = content.changes.length === 0 ? '' : ` (${content.changes.join(', ')})`;
      return `${hurt}: ${content.instead} instead${changes}`;
    }
    case 'withdrawn':
      return `taken back: ${content.reason}`;
  }
}
