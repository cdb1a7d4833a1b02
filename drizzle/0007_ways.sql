ALTER TABLE "house_items" DROP CONSTRAINT "house_items_kind";--> statement-breakpoint
ALTER TABLE "kitchens" ADD COLUMN "date_order" text DEFAULT 'dmy' NOT NULL;--> statement-breakpoint
ALTER TABLE "house_items" ADD CONSTRAINT "house_items_kind" CHECK ("house_items"."kind" in ('cut', 'program', 'way'));--> statement-breakpoint
ALTER TABLE "kitchens" ADD CONSTRAINT "kitchens_date_order" CHECK ("kitchens"."date_order" in ('dmy', 'mdy'));