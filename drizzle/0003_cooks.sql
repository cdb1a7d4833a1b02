CREATE TABLE "cooks" (
	"id" text PRIMARY KEY NOT NULL,
	"kitchen_id" text NOT NULL,
	"state" text DEFAULT 'cooking' NOT NULL,
	"document" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "cooks_kitchen_id_id" UNIQUE("kitchen_id","id")
);
--> statement-breakpoint
CREATE TABLE "devices" (
	"id" text PRIMARY KEY NOT NULL,
	"kitchen_id" text NOT NULL,
	"name" text NOT NULL,
	"token_hash" text NOT NULL,
	"battery" real,
	"seen_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "devices_token_hash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
CREATE TABLE "entries" (
	"seq" bigserial PRIMARY KEY NOT NULL,
	"id" text NOT NULL,
	"kitchen_id" text NOT NULL,
	"cook_id" text NOT NULL,
	"entry" jsonb NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "entries_once" UNIQUE("cook_id","id")
);
--> statement-breakpoint
CREATE TABLE "readings" (
	"kitchen_id" text NOT NULL,
	"device_id" text NOT NULL,
	"channel" integer NOT NULL,
	"seq" bigint NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"value_c" real NOT NULL,
	CONSTRAINT "readings_device_id_channel_seq_at_pk" PRIMARY KEY("device_id","channel","seq","at")
) PARTITION BY RANGE ("at");
--> statement-breakpoint
CREATE TABLE "readings_other" PARTITION OF "readings" DEFAULT;
--> statement-breakpoint
DO $$
DECLARE month date;
BEGIN
  FOR month IN SELECT generate_series('2024-01-01'::date, '2033-12-01'::date, '1 month')::date LOOP
    EXECUTE format(
      'CREATE TABLE %I PARTITION OF "readings" FOR VALUES FROM (%L) TO (%L)',
      'readings_' || to_char(month, 'YYYY_MM'), month, (month + interval '1 month')::date);
  END LOOP;
END $$;
--> statement-breakpoint
ALTER TABLE "cooks" ADD CONSTRAINT "cooks_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "devices" ADD CONSTRAINT "devices_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_cook" FOREIGN KEY ("kitchen_id","cook_id") REFERENCES "public"."cooks"("kitchen_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cooks_kitchen_state" ON "cooks" USING btree ("kitchen_id","state");--> statement-breakpoint
CREATE INDEX "entries_cook_seq" ON "entries" USING btree ("cook_id","seq");--> statement-breakpoint
CREATE INDEX "readings_device_at" ON "readings" USING btree ("device_id","channel","at");