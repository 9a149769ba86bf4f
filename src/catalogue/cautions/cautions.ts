import type { Hazard } from '../../core/shapes/protocol';

const byHazard: Readonly<Record<Hazard, string>> = {
  floor: 'To the floor: only who can get up again; a second person and a chair at hand.',
  'one-leg': 'On one leg: a spotter within arm’s reach, on the side to bring along; a fixed hold within reach.',
  slide: 'Sliding: a floor that slides, feet that feel; never in socks with numb feet.',
};

/** What must be shown where the work can hurt someone. Common practice; local rules and licensed professionals come first. */
export const cautions = {
  /** On every page of results that is printed. */
  onPaper: 'Fitness screening, not a diagnosis. Licensed professionals and local rules come first.',
  defer:
    'Fitness screening and instruction, not diagnosis or treatment. Licensed professionals and local rules come first.',
  notToday: [
    'Chest pain or pressure, faint, faint on standing, new dizziness, unusual breathlessness.',
    'Fever or feeling ill; new swelling or calf pain; a fall since last time that nobody looked at.',
    'Resting pulse over 120, under 40, or under 50 with dizziness; heartbeat newly irregular; from 100 to 120 again after five seated minutes.',
    'Pressure 160 or 100 and up at the second reading, five minutes seated; upper number under 90, or under 100 with dizziness.',
    'Tablets or insulin that lower sugar, and no food for three hours: eat first.',
  ],
  stopNow: [
    'Chest pain, dizziness, confusion, blurred vision, nausea, pallor, irregular heartbeat, cold sweat.',
    'New weakness, drooping face or slurred speech; loss of balance that repeats; unusual breathlessness.',
    'Sharp or rising joint pain, new calf pain, or the person asks to.',
    'A knock to the head with blood thinners, or not known to be without: an emergency call, even if all seems well.',
    'Then: seat them, do not leave them, call the emergency number, note the time.',
  ],
  askFirst: [
    'A joint replaced in the last 3 months or its limits unknown; surgery in the last 12 weeks, of the eye in the last 4.',
    'A fracture in the last 6 months; a spine fracture, or fragile bone with spine pain.',
    'Faint, head strike or unexplained fall; new weakness or change of gait; lost weight without trying, or night pain.',
    'Heart disease, blood pressure or diabetes that is not under control.',
  ],
  /** On every count (Rikli & Jones manual, from memory). */
  onCount: 'Do the best you can, but stop before it is too much or feels unsafe.',
  /** Where the hands hold on. */
  holding: 'A chair to hold has its seat to the wall: push down, never pull. Only a fixed rail may be pulled.',
  /** What follows from an aid indoors. */
  aidIndoors: 'An aid indoors: one step more support; no step back and return, no hop; an own spotter.',
  walkerIndoors:
    'A walker indoors: standing up from a raised seat is the last squat until eight stands, on a chair with arms where there is one; walker in front, brakes on.',
  notShown: 'Does not follow a shown task yet: the line of the first classes stays.',
  armsNotFree: 'No arm free to hold on: the line of the first classes stays.',
  /** What a professional is asked about. */
  asksOfBody: [
    'Tests: standing up from a chair for 30 seconds, balance positions of 10 to 45 seconds with a spotter, walking a few metres fast, stepping in place for two minutes; stopped at the first sign.',
    'Class, two or three days a week: standing up and sitting down, lunges and hip bends with a hand on something fixed, lifting the hips lying down; later a weight of at most 4 kg held close.',
    'Effort 3 to 4 of 10 in the first month, then 5 to 6; no breath held, no hold over 30 seconds; to the floor only who gets up again.',
  ],
  /** What is done for whoever is ready with care, as their clinician is told. */
  doneWithCare: [
    'An own spotter within arm’s reach, and one step more support than the tests alone would give.',
    'Exercises start seated or with the hands held; harder ones open only when tests and classes show that they are safe.',
  ],
  onThinners: 'On one leg an own spotter; after a knock to the head we call the emergency number.',
  always: [
    'A spotter within arm’s reach, on the side to bring along, for each person in a balance test.',
    'The chair to sit on has its back to the wall; the chair to hold has its seat to the wall.',
    'Five minutes of warm-up before strength.',
  ],
  byHazard,
} as const;
