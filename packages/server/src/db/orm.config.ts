import { Migrator } from '@mikro-orm/migrations';
import { defineConfig, UnderscoreNamingStrategy } from '@mikro-orm/postgresql';
import { Account, AccountSession, Attempt } from '../account/account.entity';
import { Choir, Member } from '../choir/choir.entity';
import { Evening, EveningTemplate } from '../evening/evening.entity';
import { ExerciseMark, ExerciseVersion, OwnExercise } from '../exercises/exercises.entity';
import { Piece, PieceFile, PieceJudgement, PieceMark } from '../pieces/pieces.entity';
import { Plan } from '../plan/plan.entity';
import { RangeCheck, Singer, SingerEvening, VoicePart } from '../voices/voices.entity';
import { migrations } from './migrations';

/** How the database is mapped; the schema itself changes by migrations only. */
export const ormConfig = (clientUrl: string) =>
  defineConfig({
    clientUrl,
    entities: [
      Account,
      AccountSession,
      Attempt,
      Choir,
      Member,
      VoicePart,
      Singer,
      PieceFile,
      Piece,
      PieceMark,
      PieceJudgement,
      Evening,
      EveningTemplate,
      Plan,
      RangeCheck,
      SingerEvening,
      OwnExercise,
      ExerciseVersion,
      ExerciseMark,
    ],
    extensions: [Migrator],
    namingStrategy: UnderscoreNamingStrategy,
    forceUtcTimezone: true,
    metadataCache: { enabled: false },
    migrations: {
      migrationsList: [...migrations],
      path: 'packages/server/src/db/migrations',
      silent: true,
      snapshot: true,
      snapshotName: 'schema',
      emit: 'ts',
      disableForeignKeys: false,
    },
    pool: { min: 0, max: 10 },
  });
