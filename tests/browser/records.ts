import { shareRecords } from '../support/server';

/** One PostgreSQL for all stories, filled once; what is returned ends it. */
export default shareRecords;
