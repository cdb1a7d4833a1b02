CREATE TABLE "cook_stories" (
	"cook_id" text PRIMARY KEY NOT NULL,
	"kitchen_id" text NOT NULL,
	"seq" bigint NOT NULL,
	"served_at" timestamp with time zone NOT NULL,
	"words" text NOT NULL,
	"cuts" text[] NOT NULL,
	"schools" text[] NOT NULL,
	"ovens" text[] NOT NULL,
	"suppliers" text[] NOT NULL,
	"guests" integer,
	"verdict" text,
	"late_min" real,
	"story" jsonb NOT NULL,
	CONSTRAINT "cook_stories_verdict" CHECK ("cook_stories"."verdict" in ('under', 'as_wanted', 'over'))
);
--> statement-breakpoint
ALTER TABLE "cook_stories" ADD CONSTRAINT "cook_stories_cook" FOREIGN KEY ("kitchen_id","cook_id") REFERENCES "public"."cooks"("kitchen_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cook_stories_kitchen_served" ON "cook_stories" USING btree ("kitchen_id","served_at");