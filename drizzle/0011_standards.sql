CREATE TABLE "house_changes" (
	"id" text PRIMARY KEY NOT NULL,
	"kitchen_id" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"by" text NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"before" jsonb,
	"after" jsonb
);
--> statement-breakpoint
CREATE TABLE "photos" (
	"id" text PRIMARY KEY NOT NULL,
	"kitchen_id" text NOT NULL,
	"cook_id" text NOT NULL,
	"item" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"hash" text NOT NULL,
	"picture" "bytea" NOT NULL,
	CONSTRAINT "photos_once" UNIQUE("cook_id","item","hash"),
	CONSTRAINT "photos_size" CHECK ("photos"."width" > 0 and "photos"."height" > 0 and octet_length("photos"."picture") < 2000000)
);
--> statement-breakpoint
ALTER TABLE "house_items" DROP CONSTRAINT "house_items_kind";--> statement-breakpoint
ALTER TABLE "house_changes" ADD CONSTRAINT "house_changes_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_cook" FOREIGN KEY ("kitchen_id","cook_id") REFERENCES "public"."cooks"("kitchen_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "house_changes_at" ON "house_changes" USING btree ("kitchen_id","at");--> statement-breakpoint
ALTER TABLE "house_items" ADD CONSTRAINT "house_items_kind" CHECK ("house_items"."kind" in ('cut', 'program', 'way', 'standard'));