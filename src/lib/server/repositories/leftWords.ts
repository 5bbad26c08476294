import type { Knex } from 'knex';
import type { LeftWord } from '#core/record/kinds';
import type { Owner } from '../record/upsert';
import type { Written } from '#core/record/written';
import { upsert } from '../record/upsert';
import { answer, type Asked } from './asked';

export const putLeftWord = (trx: Knex, { line, backBy, ...own }: LeftWord, { crew, entry }: Owner) =>
  upsert(trx, 'left_word', { ...own, line_id: line, back_by: backBy, entry_id: entry }, crew);

type Row = Omit<LeftWord, 'line' | 'at' | 'backBy' | 'back'> & {
  line_id: string;
  at: Date;
  back_by: Date;
  back: Date | null;
  entry_id: string;
};

/** The words that were left and not taken back, the first to be back first; with those of who is back since a moment, where one is given. */
export const askLeftWords = (db: Knex, crew: string, since?: Date): Asked<Row, Written<LeftWord>[]> => ({
  query: db('left_word')
    .select('id', 'line_id', 'who', 'where', 'at', 'back_by', 'home', 'then', 'back', 'entry_id')
    .where({ crew_id: crew })
    .where((q) => (since ? q.whereNull('back').orWhere('back', '>', since) : q.whereNull('back')))
    .orderBy('back_by'),
  times: ['at', 'back_by', 'back'],
  read: (rows) =>
    rows.map(({ line_id, at, back_by, back, entry_id, ...own }) => ({
      ...own,
      line: line_id,
      at: at.toISOString(),
      backBy: back_by.toISOString(),
      back: back?.toISOString() ?? null,
      entry: entry_id,
    })),
});
export const leftWords = (db: Knex, crew: string, since?: Date) => answer(db, askLeftWords(db, crew, since));
