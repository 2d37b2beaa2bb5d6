import { Migrator } from '@mikro-orm/migrations';
import { defineConfig, UnderscoreNamingStrategy } from '@mikro-orm/postgresql';
import { Account, AccountSecret, AccountSession, Attempt } from './entities/account';
import { AuditRecord, Choir, Invitation, Member } from './entities/choir';
import { Evening, EveningTemplate } from './entities/evening';
import { ExerciseMark, ExerciseVersion, OwnExercise } from './entities/exercises';
import { ChoirChange } from './entities/change';
import {
  PieceJudgingCard,
  PieceRecording,
  Piece,
  PieceFile,
  PieceJudgement,
  PieceJudging,
  PieceMark,
} from './entities/pieces';
import { KeptPlan, Plan, PlanChange, PlanLink, PlanVersion, SingerAnswer } from './entities/plan';
import { LedOnce, Run, RunEvent } from './entities/run';
import { RangeCheck, Singer, SingerEvening, VoicePart } from './entities/voices';
import { migrations } from './migrations';

/** How the database is mapped; the schema itself changes by migrations only. */
export const ormConfig = (clientUrl: string) =>
  defineConfig({
    clientUrl,
    entities: [
      Account,
      AccountSession,
      AccountSecret,
      Attempt,
      Choir,
      Member,
      Invitation,
      AuditRecord,
      VoicePart,
      Singer,
      PieceFile,
      Piece,
      PieceMark,
      PieceJudgement,
      PieceJudging,
      PieceJudgingCard,
      PieceRecording,
      Evening,
      EveningTemplate,
      Plan,
      PlanChange,
      PlanVersion,
      KeptPlan,
      PlanLink,
      SingerAnswer,
      Run,
      RunEvent,
      LedOnce,
      ChoirChange,
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
