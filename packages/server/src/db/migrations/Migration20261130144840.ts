import { Migration } from '@mikro-orm/migrations';

export class Migration20261130144840 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "plan_link" add column "use" varchar(10) not null default 'sheet';`);
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "plan_link" drop column "use";`);
  }
}
