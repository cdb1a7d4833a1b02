CREATE TABLE "kitchens" (
	"id" text PRIMARY KEY NOT NULL,
	"slug" text NOT NULL,
	"name" text NOT NULL,
	"time_zone" text NOT NULL,
	"temperature_unit" text DEFAULT 'c' NOT NULL,
	"mass_unit" text DEFAULT 'kg' NOT NULL,
	"clock" text DEFAULT '24h' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "kitchens_slug_unique" UNIQUE("slug")
);
--> statement-breakpoint
CREATE TABLE "plan_versions" (
	"id" text PRIMARY KEY NOT NULL,
	"kitchen_id" text NOT NULL,
	"plan_id" text NOT NULL,
	"version" integer NOT NULL,
	"state" text NOT NULL,
	"document" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"settled_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "plans" (
	"id" text PRIMARY KEY NOT NULL,
	"kitchen_id" text NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"promise_at" timestamp with time zone NOT NULL,
	"document" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "plans_kitchen_id_id" UNIQUE("kitchen_id","id"),
	CONSTRAINT "plans_version_positive" CHECK ("plans"."version" > 0)
);
--> statement-breakpoint
ALTER TABLE "plan_versions" ADD CONSTRAINT "plan_versions_plan" FOREIGN KEY ("kitchen_id","plan_id") REFERENCES "public"."plans"("kitchen_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plans" ADD CONSTRAINT "plans_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "plan_versions_saved_once" ON "plan_versions" USING btree ("plan_id","version") WHERE "plan_versions"."state" = 'saved';--> statement-breakpoint
CREATE INDEX "plan_versions_plan_state" ON "plan_versions" USING btree ("kitchen_id","plan_id","state");--> statement-breakpoint
CREATE INDEX "plans_kitchen_promise" ON "plans" USING btree ("kitchen_id","promise_at");