import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { PieceRanges } from '@wide-fern/core';
import { Choir } from '../choir/choir.entity';
import { createdColumn, idColumn } from '../db/columns';

/** A piece the choir sings, with the lowest and highest note of each part. */
export const Piece = defineEntity({
  name: 'Piece',
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade').index(),
    title: p.string().length(120),
    ranges: p.json<PieceRanges['ranges']>(),
    createdAt: createdColumn(),
  },
});
export type Piece = InferEntity<typeof Piece>;
