CREATE TABLE "record_entries" (
	"kitchen_id" text NOT NULL,
	"seq" bigint NOT NULL,
	"id" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"entry" jsonb NOT NULL,
	"prev" text NOT NULL,
	"hash" text NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "record_entries_place" PRIMARY KEY("kitchen_id","seq"),
	CONSTRAINT "record_entries_once" UNIQUE("kitchen_id","id"),
	CONSTRAINT "record_entries_hashes" CHECK (length("record_entries"."hash") = 64 and length("record_entries"."prev") = 64 and "record_entries"."seq" > 0)
);
--> statement-breakpoint
ALTER TABLE "kitchens" ADD COLUMN "record_plan" jsonb;--> statement-breakpoint
ALTER TABLE "record_entries" ADD CONSTRAINT "record_entries_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "record_entries_at" ON "record_entries" USING btree ("kitchen_id","at");