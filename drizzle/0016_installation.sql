CREATE TABLE "installation" (
	"name" text PRIMARY KEY NOT NULL,
	"value" text NOT NULL
);

--> statement-breakpoint
-- 244 bits from the database's own strong source.
INSERT INTO "installation" VALUES ('secret', replace(gen_random_uuid()::text || gen_random_uuid()::text, '-', ''));
