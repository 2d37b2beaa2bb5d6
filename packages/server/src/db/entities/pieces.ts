import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { JudgementBody, JudgingCard, Ranges, ReadScore } from '@wide-fern/contract';
import type { Purpose } from '@wide-fern/core';
import { Account } from './account';
import { Choir } from './choir';
import { createdColumn, idColumn } from './columns';

/** The file a score was read from, as it was handed in. */
export const PieceFile = defineEntity({
  name: 'PieceFile',
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade').index(),
    name: p.string().length(200),
    size: p.integer(),
    bytes: p.blob().lazy(),
    createdAt: createdColumn(),
  },
});
export type PieceFile = InferEntity<typeof PieceFile>;

/** A piece the choir sings: typed by hand, or read from a score. */
export const Piece = defineEntity({
  name: 'Piece',
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade').index(),
    version: p.integer().version(),
    title: p.string().length(120),
    composer: p.string().length(120).default(''),
    language: p.string().length(60).default(''),
    /** Beats a minute; null for what the score says. */
    tempo: p.double().$type<number>().nullable(),
    transpose: p.integer().default(0),
    notes: p.text().default(''),
    ranges: p.json<Ranges>(),
    file: () => p.manyToOne(PieceFile).deleteRule('set null').nullable(),
    mapping: p.json<ReadScore['mapping']>().nullable(),
    byBar: p.json<ReadScore['byBar']>().nullable(),
    seconds: p.double().$type<number>().nullable(),
    createdAt: createdColumn(),
  },
});
export type Piece = InferEntity<typeof Piece>;

/** Bars that give trouble, with the skill they ask for. */
export const PieceMark = defineEntity({
  name: 'PieceMark',
  properties: {
    id: idColumn(),
    piece: () => p.manyToOne(Piece).deleteRule('cascade').index(),
    fromBar: p.integer(),
    toBar: p.integer(),
    parts: p.json<string[]>(),
    skill: p.string().length(40).$type<Purpose>(),
    note: p.string().length(200),
    createdAt: createdColumn(),
  },
});
export type PieceMark = InferEntity<typeof PieceMark>;

/** A run of a piece as somebody judged it. */
export const PieceJudgement = defineEntity({
  name: 'PieceJudgement',
  properties: {
    id: idColumn(),
    piece: () => p.manyToOne(Piece).deleteRule('cascade').index(),
    judgedOn: p.date(),
    by: () => p.manyToOne(Account).deleteRule('set null').nullable(),
    scores: p.json<JudgementBody['scores']>(),
    target: p.string().length(40).$type<Purpose>().nullable(),
    createdAt: createdColumn(),
  },
});
export type PieceJudgement = InferEntity<typeof PieceJudgement>;

/** A run of a piece that several judge. What is agreed on of the whole choir is a judgement under the same id. */
export const PieceJudging = defineEntity({
  name: 'PieceJudging',
  properties: {
    id: idColumn(),
    piece: () => p.manyToOne(Piece).deleteRule('cascade').index(),
    judgedOn: p.date(),
    skills: p.json<Purpose[]>(),
    /** Who sang, where it was not the whole choir. */
    who: p.string().length(80),
    tried: p.string().length(200),
    by: () => p.manyToOne(Account).deleteRule('set null').nullable(),
    closed: p.boolean().default(false),
    agreed: p.json<JudgingCard>().nullable(),
    createdAt: createdColumn(),
  },
});
export type PieceJudging = InferEntity<typeof PieceJudging>;

/** What one of several says of such a run. */
export const PieceJudgingCard = defineEntity({
  name: 'PieceJudgingCard',
  uniques: [{ properties: ['judging', 'by'] }],
  properties: {
    id: idColumn(),
    judging: () => p.manyToOne(PieceJudging).deleteRule('cascade').index(),
    by: () => p.manyToOne(Account).deleteRule('set null').nullable(),
    scores: p.json<JudgingCard['scores']>(),
    target: p.string().length(40).$type<Purpose>().nullable(),
    createdAt: createdColumn(),
  },
});
export type PieceJudgingCard = InferEntity<typeof PieceJudgingCard>;

/** The sound of such a run, for a while. */
export const PieceRecording = defineEntity({
  name: 'PieceRecording',
  properties: {
    id: idColumn(),
    judging: () => p.oneToOne(PieceJudging).owner(true).deleteRule('cascade'),
    name: p.string().length(200),
    size: p.integer(),
    bytes: p.blob().lazy(),
    expiresAt: p.datetime(),
    createdAt: createdColumn(),
  },
});
export type PieceRecording = InferEntity<typeof PieceRecording>;
