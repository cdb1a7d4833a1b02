CREATE TABLE "accounts" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"provider_id" text NOT NULL,
	"user_id" text NOT NULL,
	"access_token" text,
	"refresh_token" text,
	"id_token" text,
	"access_token_expires_at" timestamp with time zone,
	"refresh_token_expires_at" timestamp with time zone,
	"scope" text,
	"password" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "addresses" (
	"id" text PRIMARY KEY NOT NULL,
	"kitchen_id" text NOT NULL,
	"of" text NOT NULL,
	"thing" text,
	"name" text NOT NULL,
	"token_hash" text NOT NULL,
	"made_by" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"revoked_at" timestamp with time zone,
	"uses" integer DEFAULT 0 NOT NULL,
	"used_at" timestamp with time zone,
	CONSTRAINT "addresses_token_hash_unique" UNIQUE("token_hash"),
	CONSTRAINT "addresses_of" CHECK ("addresses"."of" in ('calendar', 'sheet', 'board'))
);
--> statement-breakpoint
CREATE TABLE "audit" (
	"id" bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "audit_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"kitchen_id" text,
	"who" text NOT NULL,
	"who_name" text NOT NULL,
	"what" text NOT NULL,
	"about" text DEFAULT '' NOT NULL,
	"detail" jsonb
);
--> statement-breakpoint
CREATE TABLE "invitations" (
	"id" text PRIMARY KEY NOT NULL,
	"kitchen_id" text,
	"of" text NOT NULL,
	"role" text NOT NULL,
	"token_hash" text NOT NULL,
	"made_by" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone,
	"used_by" text,
	"revoked_at" timestamp with time zone,
	CONSTRAINT "invitations_token_hash_unique" UNIQUE("token_hash"),
	CONSTRAINT "invitations_of" CHECK ("invitations"."of" in ('claim', 'person', 'tablet') and "invitations"."role" in ('guest', 'cook', 'head_cook', 'owner'))
);
--> statement-breakpoint
CREATE TABLE "members" (
	"kitchen_id" text NOT NULL,
	"person_id" text NOT NULL,
	"role" text NOT NULL,
	"pin_hash" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "members_once" PRIMARY KEY("kitchen_id","person_id"),
	CONSTRAINT "members_role" CHECK ("members"."role" in ('guest', 'cook', 'head_cook', 'owner'))
);
--> statement-breakpoint
CREATE TABLE "people" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"email_verified" boolean DEFAULT false NOT NULL,
	"image" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"username" text,
	"display_username" text,
	CONSTRAINT "people_email_unique" UNIQUE("email"),
	CONSTRAINT "people_username_unique" UNIQUE("username")
);
--> statement-breakpoint
CREATE TABLE "rate_limits" (
	"key" text PRIMARY KEY NOT NULL,
	"points" integer NOT NULL,
	"expire" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"id" text PRIMARY KEY NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"token" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"ip_address" text,
	"user_agent" text,
	"user_id" text NOT NULL,
	CONSTRAINT "sessions_token_unique" UNIQUE("token")
);
--> statement-breakpoint
CREATE TABLE "tablets" (
	"id" text PRIMARY KEY NOT NULL,
	"kitchen_id" text NOT NULL,
	"name" text NOT NULL,
	"token_hash" text NOT NULL,
	"made_by" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"seen_at" timestamp with time zone,
	"revoked_at" timestamp with time zone,
	CONSTRAINT "tablets_token_hash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
CREATE TABLE "verifications" (
	"id" text PRIMARY KEY NOT NULL,
	"identifier" text NOT NULL,
	"value" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "kitchens" ALTER COLUMN "calendar_token" SET DEFAULT '';--> statement-breakpoint
ALTER TABLE "entries" ADD COLUMN "who" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "house_changes" ADD COLUMN "who" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "kitchens" ADD COLUMN "pins" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "kitchens" ADD COLUMN "closed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "plan_versions" ADD COLUMN "who" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "record_entries" ADD COLUMN "who" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "accounts" ADD CONSTRAINT "accounts_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "addresses" ADD CONSTRAINT "addresses_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitations" ADD CONSTRAINT "invitations_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "members" ADD CONSTRAINT "members_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "members" ADD CONSTRAINT "members_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tablets" ADD CONSTRAINT "tablets_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "accounts_user" ON "accounts" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "addresses_kitchen" ON "addresses" USING btree ("kitchen_id","created_at");--> statement-breakpoint
CREATE INDEX "audit_kitchen" ON "audit" USING btree ("kitchen_id","at");--> statement-breakpoint
CREATE INDEX "invitations_kitchen" ON "invitations" USING btree ("kitchen_id","created_at");--> statement-breakpoint
CREATE INDEX "members_person" ON "members" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "rate_limits_expire" ON "rate_limits" USING btree ("expire");--> statement-breakpoint
CREATE INDEX "sessions_user" ON "sessions" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "tablets_kitchen" ON "tablets" USING btree ("kitchen_id","created_at");
--> statement-breakpoint
-- The second wall: a query of the application sees the rows of the kitchen it said it is for, and none where it said none.
DO $$
DECLARE each text; part text;
BEGIN
  FOREACH each IN ARRAY ARRAY['plans', 'plan_versions', 'plan_summaries', 'house_items', 'house_changes', 'photos', 'cooks', 'cook_stories', 'entries', 'devices', 'readings', 'readings_aside', 'record_entries'] LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', each);
    EXECUTE format('CREATE POLICY %I ON %I USING (kitchen_id = current_setting(''pheasant.kitchen'', true)) WITH CHECK (kitchen_id = current_setting(''pheasant.kitchen'', true))', each || '_of_kitchen', each);
  END LOOP;
  -- A part asked by its own name opens to nobody.
  FOR part IN SELECT inhrelid::regclass::text FROM pg_inherits WHERE inhparent = 'readings'::regclass LOOP
    EXECUTE format('ALTER TABLE %s ENABLE ROW LEVEL SECURITY', part);
  END LOOP;
END $$;
--> statement-breakpoint
-- What must be known before it is known which kitchen it is for, and no more than that.
CREATE FUNCTION "device_of_token"(of_hash text) RETURNS TABLE (id text, kitchen_id text)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS $$
  SELECT d.id, d.kitchen_id FROM devices d WHERE d.token_hash = of_hash AND d.revoked_at IS NULL
$$;
--> statement-breakpoint
CREATE FUNCTION "holder_of"(what text, of_id text) RETURNS text
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS $$
  SELECT CASE what
    WHEN 'plan' THEN (SELECT kitchen_id FROM plans WHERE id = of_id)
    WHEN 'version' THEN (SELECT kitchen_id FROM plan_versions WHERE id = of_id)
    WHEN 'cook' THEN (SELECT kitchen_id FROM cooks WHERE id = of_id)
    WHEN 'device' THEN (SELECT kitchen_id FROM devices WHERE id = of_id)
    WHEN 'photo' THEN (SELECT kitchen_id FROM photos WHERE id = of_id)
  END
$$;
--> statement-breakpoint
-- The device whose readings are next to be thinned, with the span that is due.
CREATE FUNCTION "thinning_due"(far boolean, until timestamptz, piece_days int) RETURNS TABLE (id text, kitchen_id text, begins timestamptz, ends timestamptz)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS $$
  SELECT d.id, d.kitchen_id, first.at, least(until, first.at + make_interval(days => piece_days))
  FROM devices d,
    LATERAL (SELECT coalesce(CASE WHEN far THEN d.thinned_far_to ELSE d.thinned_to END, '-infinity') AS at) done,
    LATERAL (
      SELECT min(oldest.at) AS at FROM generate_series(0, 63) AS every(channel), LATERAL (
        SELECT r.at FROM readings r
        WHERE r.device_id = d.id AND r.channel = every.channel AND r.at >= done.at AND r.at < until
        ORDER BY r.at LIMIT 1
      ) oldest
    ) first
  WHERE first.at IS NOT NULL AND done.at < until - interval '1 day'
  ORDER BY first.at LIMIT 1
$$;
--> statement-breakpoint
REVOKE ALL ON FUNCTION "device_of_token"(text), "holder_of"(text, text), "thinning_due"(boolean, timestamptz, int) FROM PUBLIC;
--> statement-breakpoint
DROP TRIGGER "plan_versions_stay" ON "plan_versions";
--> statement-breakpoint
CREATE TRIGGER "plan_versions_stay" BEFORE UPDATE OF "id", "kitchen_id", "plan_id", "version", "state", "document", "who", "created_at" ON "plan_versions" FOR EACH ROW EXECUTE FUNCTION "only_added_to"();
