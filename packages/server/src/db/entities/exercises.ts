import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { Exercise } from '@wide-fern/contract';
import { Account } from './account';
import { Choir } from './choir';
import { createdColumn, idColumn } from './columns';

/** An exercise of a choir's own, as it is now. */
export const OwnExercise = defineEntity({
  name: 'OwnExercise',
  uniques: [{ properties: ['choir', 'code'] }],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade'),
    /** The exercise's id, by which plans and marks know it. */
    code: p.string().length(60),
    version: p.integer().version(),
    document: p.json<Exercise>(),
    /** When it was thrown away; it can be brought back. */
    removedAt: p.datetime().nullable(),
    createdAt: createdColumn(),
  },
});
export type OwnExercise = InferEntity<typeof OwnExercise>;

/** Every version an exercise has had, the present one too. */
export const ExerciseVersion = defineEntity({
  name: 'ExerciseVersion',
  uniques: [{ properties: ['exercise', 'version'] }],
  properties: {
    id: idColumn(),
    exercise: () => p.manyToOne(OwnExercise).deleteRule('cascade'),
    version: p.integer(),
    document: p.json<Exercise>(),
    savedAt: createdColumn(),
    savedBy: () => p.manyToOne(Account).deleteRule('set null').nullable(),
  },
});
export type ExerciseVersion = InferEntity<typeof ExerciseVersion>;

/** What a choir thinks of an exercise, built in or its own. */
export const ExerciseMark = defineEntity({
  name: 'ExerciseMark',
  uniques: [{ properties: ['choir', 'code'] }],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade'),
    code: p.string().length(60),
    favourite: p.boolean(),
    hidden: p.boolean(),
    note: p.string().length(1000),
    /** What was learned by leading it before counts no more. */
    learnedFrom: p.datetime().nullable(),
  },
});
export type ExerciseMark = InferEntity<typeof ExerciseMark>;
