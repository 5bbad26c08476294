import type { Knex } from 'knex';
import type { Body, Kind } from '#core/record/kinds';
import { putCheck, removeCheck } from '../repositories/checks';
import { putDevice, putKit, putStock, putStockMove } from '../repositories/gear';
import { putCrew, putGauge, putPerson, putSite, putStation, putWater } from '../repositories/places';
import { putDuty, putRulebook } from '../repositories/rules';
import { putInterview, putReply } from '../repositories/interviews';
import { putColony } from '../repositories/colonies';
import { putShare } from '../repositories/shares';
import { putLeftWord } from '../repositories/leftWords';
import { putReading, removeReading } from '../repositories/readings';
import { putLine, putSet } from '../repositories/sets';
import { putCamera, putEarlier, putGround, putIntent, putOpening, putStationLevel, putSurvey, remover } from '../repositories/scouting';
import { putForecast, putIce, putLogged, putTold, putWeather } from '../repositories/moving';
import { putSign, removeSign } from '../repositories/sign';
import type { Owner } from './upsert';

type Put = { [K in Kind]: (trx: Knex, body: Body<K>, owner: Owner) => Promise<unknown> };

const PUT: Put = {
  crew: putCrew,
  person: putPerson,
  site: putSite,
  water: putWater,
  gauge: putGauge,
  station: putStation,
  reading: putReading,
  line: putLine,
  device: putDevice,
  set: putSet,
  check: putCheck,
  sign: putSign,
  stationLevel: putStationLevel,
  ground: putGround,
  earlier: putEarlier,
  survey: putSurvey,
  camera: putCamera,
  intent: putIntent,
  opening: putOpening,
  weather: putWeather,
  ice: putIce,
  logged: putLogged,
  forecast: putForecast,
  told: putTold,
  stock: putStock,
  stockMove: putStockMove,
  kit: putKit,
  rulebook: putRulebook,
  duty: putDuty,
  interview: putInterview,
  reply: putReply,
  leftWord: putLeftWord,
  share: putShare,
  colony: putColony,
};

const REMOVE: Partial<Record<Kind, (trx: Knex, id: string, owner: Owner) => Promise<unknown>>> = {
  reading: removeReading,
  check: removeCheck,
  sign: removeSign,
  stationLevel: remover('station_level'),
  ground: remover('ground'),
  earlier: remover('earlier'),
  survey: remover('survey'),
  camera: remover('camera'),
  intent: remover('intent'),
  opening: remover('opening'),
  weather: remover('weather'),
  ice: remover('ice'),
  logged: remover('logged'),
  forecast: remover('forecast'),
  told: remover('told_rise'),
  stockMove: remover('stock_move'),
  kit: remover('kit'),
  duty: remover('duty'),
  interview: remover('interview'),
  reply: remover('reply'),
  leftWord: remover('left_word'),
  share: remover('day_share'),
  colony: remover('colony'),
};

/** Writes the truth that an entry leaves behind: its body, or nothing when it was withdrawn. */
export async function apply<K extends Kind>(trx: Knex, kind: K, subject: string, truth: Body<K> | null, owner: Owner): Promise<void> {
  if (truth) await PUT[kind](trx, truth, owner);
  else await REMOVE[kind]?.(trx, subject, owner);
}
