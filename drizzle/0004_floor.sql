CREATE TABLE "plan_summaries" (
	"plan_id" text PRIMARY KEY NOT NULL,
	"kitchen_id" text NOT NULL,
	"version" integer NOT NULL,
	"model" text NOT NULL,
	"summary" jsonb
);
--> statement-breakpoint
DROP INDEX "entries_cook_seq";
--> statement-breakpoint
DROP INDEX "cooks_kitchen_state";
--> statement-breakpoint
DROP INDEX "plans_kitchen_promise";
--> statement-breakpoint
ALTER TABLE "entries" DROP CONSTRAINT "entries_pkey";
--> statement-breakpoint
ALTER TABLE "entries" ALTER COLUMN "seq" DROP DEFAULT;
--> statement-breakpoint
DROP SEQUENCE IF EXISTS "entries_seq_seq";
--> statement-breakpoint
ALTER TABLE "kitchens" ALTER COLUMN "calendar_token" SET DEFAULT replace(gen_random_uuid()::text || gen_random_uuid()::text, '-', '');
--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_place" PRIMARY KEY("cook_id","seq");
--> statement-breakpoint
ALTER TABLE "cooks" ADD COLUMN "last_seq" bigint DEFAULT 0 NOT NULL;
--> statement-breakpoint
ALTER TABLE "cooks" ADD COLUMN "archived_at" timestamp with time zone;
--> statement-breakpoint
ALTER TABLE "plans" ADD COLUMN "archived_at" timestamp with time zone;
--> statement-breakpoint
ALTER TABLE "plan_summaries" ADD CONSTRAINT "plan_summaries_plan" FOREIGN KEY ("kitchen_id","plan_id") REFERENCES "public"."plans"("kitchen_id","id") ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
CREATE INDEX "devices_kitchen" ON "devices" USING btree ("kitchen_id");
--> statement-breakpoint
CREATE INDEX "cooks_kitchen_state" ON "cooks" USING btree ("kitchen_id","state","created_at");
--> statement-breakpoint
CREATE INDEX "plans_kitchen_promise" ON "plans" USING btree ("kitchen_id","kind","promise_at");
--> statement-breakpoint
ALTER TABLE "cooks" ADD CONSTRAINT "cooks_state" CHECK ("cooks"."state" in ('cooking', 'done'));
--> statement-breakpoint
ALTER TABLE "devices" ADD CONSTRAINT "devices_battery" CHECK ("devices"."battery" between 0 and 1);
--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_seq_positive" CHECK ("entries"."seq" > 0);
--> statement-breakpoint
ALTER TABLE "house_items" ADD CONSTRAINT "house_items_kind" CHECK ("house_items"."kind" in ('cut', 'program'));
--> statement-breakpoint
ALTER TABLE "kitchens" ADD CONSTRAINT "kitchens_units" CHECK ("kitchens"."temperature_unit" in ('c', 'f', 'gas') and "kitchens"."mass_unit" in ('kg', 'lb'));
--> statement-breakpoint
ALTER TABLE "kitchens" ADD CONSTRAINT "kitchens_clock" CHECK ("kitchens"."clock" in ('24h', '12h'));
--> statement-breakpoint
ALTER TABLE "plan_versions" ADD CONSTRAINT "plan_versions_state" CHECK ("plan_versions"."state" in ('saved', 'set_aside') and "plan_versions"."version" > 0);
--> statement-breakpoint
ALTER TABLE "plans" ADD CONSTRAINT "plans_kind" CHECK ("plans"."kind" in ('roast', 'meal'));
--> statement-breakpoint
UPDATE "cooks" SET "last_seq" = coalesce((SELECT max("seq") FROM "entries" WHERE "entries"."cook_id" = "cooks"."id"), 0);
--> statement-breakpoint
-- The old ones came from a source that can be guessed.
UPDATE "kitchens" SET "calendar_token" = replace(gen_random_uuid()::text || gen_random_uuid()::text, '-', '');
--> statement-breakpoint
ALTER TABLE "readings" RENAME TO "readings_by_month";
--> statement-breakpoint
CREATE TABLE "readings" (
	"kitchen_id" text NOT NULL,
	"device_id" text NOT NULL REFERENCES "devices"("id") ON DELETE cascade,
	"session" text DEFAULT '-' NOT NULL,
	"channel" integer NOT NULL,
	"seq" bigint NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"device_at" timestamp with time zone NOT NULL,
	"value_c" real NOT NULL,
	CONSTRAINT "readings_once" PRIMARY KEY("device_id","session","channel","seq"),
	CONSTRAINT "readings_possible" CHECK ("value_c" between -60 and 500)
) PARTITION BY HASH ("device_id");
--> statement-breakpoint
DO $$
BEGIN
  FOR part IN 0..15 LOOP
    EXECUTE format('CREATE TABLE %I PARTITION OF "readings" FOR VALUES WITH (MODULUS 16, REMAINDER %s)', 'readings_' || lpad(part::text, 2, '0'), part);
  END LOOP;
END $$;
--> statement-breakpoint
-- Of two with the same number the first is the reading, the other is kept aside, and so is what no probe can read.
INSERT INTO "readings" ("kitchen_id", "device_id", "channel", "seq", "at", "device_at", "value_c")
SELECT DISTINCT ON ("device_id", "channel", "seq") "kitchen_id", "device_id", "channel", "seq", "at", "at", "value_c"
FROM "readings_by_month" WHERE "value_c" between -60 and 500 AND "device_id" IN (SELECT "id" FROM "devices")
ORDER BY "device_id", "channel", "seq", "at";
--> statement-breakpoint
CREATE TABLE "readings_aside" AS
SELECT o."kitchen_id", o."device_id", o."channel", o."seq", o."at", o."value_c" FROM "readings_by_month" o
LEFT JOIN "readings" r ON r."device_id" = o."device_id" AND r."session" = '-' AND r."channel" = o."channel" AND r."seq" = o."seq" AND r."at" = o."at"
WHERE r."device_id" IS NULL;
--> statement-breakpoint
DROP TABLE "readings_by_month";
--> statement-breakpoint
CREATE INDEX "readings_device_at" ON "readings" USING btree ("device_id","channel","at");
--> statement-breakpoint
-- What happened is only ever added to; it goes with what it belongs to, and with nothing less.
CREATE FUNCTION "only_added_to"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'DELETE' AND pg_trigger_depth() > 1 THEN RETURN OLD; END IF;
  RAISE EXCEPTION 'rows of % are only added, never changed or taken away', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
--> statement-breakpoint
CREATE TRIGGER "entries_only_added_to" BEFORE UPDATE OR DELETE ON "entries" FOR EACH ROW EXECUTE FUNCTION "only_added_to"();
--> statement-breakpoint
CREATE TRIGGER "readings_only_added_to" BEFORE UPDATE OR DELETE ON "readings" FOR EACH ROW EXECUTE FUNCTION "only_added_to"();
--> statement-breakpoint
CREATE TRIGGER "plan_versions_only_added_to" BEFORE DELETE ON "plan_versions" FOR EACH ROW EXECUTE FUNCTION "only_added_to"();
--> statement-breakpoint
CREATE TRIGGER "plan_versions_stay" BEFORE UPDATE OF "id", "kitchen_id", "plan_id", "version", "state", "document", "created_at" ON "plan_versions" FOR EACH ROW EXECUTE FUNCTION "only_added_to"();
