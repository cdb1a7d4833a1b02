ALTER TABLE "kitchens" ADD COLUMN "equipment" jsonb;--> statement-breakpoint
ALTER TABLE "kitchens" ADD COLUMN "calendar_token" text DEFAULT md5(random()::text || clock_timestamp()::text) NOT NULL;--> statement-breakpoint
ALTER TABLE "plans" ADD COLUMN "kind" text DEFAULT 'roast' NOT NULL;