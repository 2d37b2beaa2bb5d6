import { Migration } from '@mikro-orm/migrations';

export class Migration20261130182845 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "plan_link" add column "part" varchar(8) null;`);
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "plan_link" drop column "part";`);
  }
}
