/** The short questions of who catches nothing, in their order: what the record knows is not asked. */

export const QUESTIONS = {
  inUse: { fresh: 'Yes, fresh sign', old: 'Old sign only', no: 'No', unknown: 'I did not look' },
  level: { stood: 'Where it stood when I set it', moved: 'Higher, lower, or frozen', unknown: 'I do not know' },
  fires: { yes: 'Yes', no: 'No, or late', unknown: 'I did not try' },
  seen: { none: 'No, nothing', passes: 'Passing by', turns: 'Turning before it', unknown: 'I cannot know' },
  across: { open: 'Nothing', thin: 'A thin stick or two', wall: 'A fence, or gear across it' },
  sky: { under: 'No: under water, or before a bank', sky: 'Yes' },
  before: { nothing: 'Nothing', same: 'The same kind of trap', other: 'Other kinds', unknown: 'I do not know' },
  lure: { none: 'None', little: 'A little', plenty: 'Plenty', unknown: 'I do not remember' },
  people: { nobody: 'Nobody', walkers: 'People, dogs or cattle', trapper: 'Another trapper', unknown: 'I do not know' },
  waited: { few: 'Fewer than four', some: 'Four to seven', long: 'More than a week' },
} as const satisfies Record<string, Record<string, string>>;

export type QuestionId = keyof typeof QUESTIONS;
export const QUESTION_IDS = Object.keys(QUESTIONS) as QuestionId[];
export type Answers = { [Q in QuestionId]?: keyof (typeof QUESTIONS)[Q] };

/** How each is asked. */
export const ASKS: Readonly<Record<QuestionId, string>> = {
  inUse: 'Is the place in use?',
  level: 'Where does the water stand?',
  fires: 'Does it fire when a stick touches the trigger?',
  seen: 'Was an animal seen there, on a camera or by its tracks?',
  across: 'What lies across the way?',
  sky: 'Is it seen against the sky or bright water?',
  before: 'What stood here before, yours or another’s?',
  lure: 'How much lure is there?',
  people: 'Who else comes here?',
  waited: 'How many nights has it stood?',
};

/** An answer as a form or a link hands it in; undefined where it is none. */
export const answerOf = <Q extends QuestionId>(question: Q, text: string): Answers[Q] =>
  Object.hasOwn(QUESTIONS[question], text) ? (text as Answers[Q]) : undefined;

/** The next question; null where all are answered or known. */
export const nextQuestion = (answers: Answers): QuestionId | null => QUESTION_IDS.find((id) => answers[id] === undefined) ?? null;
