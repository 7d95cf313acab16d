import { sql } from 'drizzle-orm';
import {
  check,
  date,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { gardens } from '../gardens/tables.js';

/** Packs in the shed. */
export const products = pgTable(
  'products',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    name: text('name').notNull(),
    intervention: text('intervention').notNull(),
    strength: jsonb('strength'),
    form: text('form').notNull(),
    /** amounts of it are in this unit */
    measuredIn: text('measured_in').notNull(),
    packAmount: doublePrecision('pack_amount'),
    densityGPerMl: doublePrecision('density_g_per_ml'),
    registration: text('registration').notNull(),
    barcode: text('barcode').notNull(),
    soldTo: text('sold_to').notNull(),
    batch: text('batch').notNull(),
    boughtOn: date('bought_on'),
    openedOn: date('opened_on'),
    bestBefore: date('best_before'),
    price: doublePrecision('price'),
    keptIn: text('kept_in').notNull(),
    lowAt: doublePrecision('low_at'),
    note: text('note').notNull(),
    endedOn: date('ended_on'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    check('products_measured_in', sql`${table.measuredIn} in ('ml', 'g', 'pieces')`),
    check('products_pack_amount', sql`${table.packAmount} > 0`),
    check('products_price', sql`${table.price} >= 0`),
  ],
);

/** A product's label: one that was copied from the pack, one that was read from the register. */
export const labelCards = pgTable(
  'label_cards',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    productId: uuid('product_id').notNull(),
    source: text('source').notNull(),
    readOn: date('read_on').notNull(),
    validUntil: date('valid_until'),
    soldTo: text('sold_to').notNull(),
    reEntryHours: integer('re_entry_hours').notNull(),
    rainFastHours: doublePrecision('rain_fast_hours'),
    temperatureC: jsonb('temperature_c'),
    maxWindKmh: doublePrecision('max_wind_kmh'),
    bufferM: doublePrecision('buffer_m'),
    bees: text('bees').notNull(),
    daysBeforeFlower: integer('days_before_flower').notNull(),
    apartFrom: jsonb('apart_from').notNull(),
    protect: text('protect').array().notNull(),
    photos: uuid('photos').array().notNull(),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({
      name: 'label_cards_product',
      columns: [table.gardenId, table.productId],
      foreignColumns: [products.gardenId, products.id],
    }),
    uniqueIndex('label_cards_once').on(table.gardenId, table.productId, table.source),
    check('label_cards_source', sql`${table.source} in ('copied', 'register')`),
  ],
);

/** What a label allows on a plant or family, against a trouble. */
export const labelCardLines = pgTable(
  'label_card_lines',
  {
    gardenId: uuid('garden_id').notNull(),
    cardId: uuid('card_id').notNull(),
    ordinal: integer('ordinal').notNull(),
    host: text('host'),
    target: text('target'),
    rate: jsonb('rate'),
    waterLPerM2: doublePrecision('water_l_per_m2'),
    preHarvestDays: integer('pre_harvest_days'),
    repeatDays: integer('repeat_days').array(),
    seasonMax: integer('season_max'),
    settings: text('settings').array().notNull(),
    stages: text('stages').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.cardId, table.ordinal] }),
    foreignKey({
      name: 'label_card_lines_card',
      columns: [table.gardenId, table.cardId],
      foreignColumns: [labelCards.gardenId, labelCards.id],
    }).onDelete('cascade'),
    check('label_card_lines_season_max', sql`${table.seasonMax} >= 1`),
  ],
);

/** What came onto the shelf or left it, beside what was applied. */
export const stockMoves = pgTable(
  'stock_moves',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    productId: uuid('product_id').notNull(),
    movedAt: timestamp('moved_at', { withTimezone: true, mode: 'string' }).notNull(),
    kind: text('kind').notNull(),
    amount: doublePrecision('amount').notNull(),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({
      name: 'stock_moves_product',
      columns: [table.gardenId, table.productId],
      foreignColumns: [products.gardenId, products.id],
    }),
    index('stock_moves_by_product').on(table.gardenId, table.productId),
    check('stock_moves_kind', sql`${table.kind} in ('bought', 'counted', 'spilled', 'given-away', 'disposed')`),
    check('stock_moves_amount', sql`${table.amount} >= 0`),
  ],
);
