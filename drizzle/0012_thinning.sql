ALTER TABLE "devices" ADD COLUMN "thinned_to" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "devices" ADD COLUMN "thinned_far_to" timestamp with time zone;--> statement-breakpoint
-- Readings that are old are thinned, by the one way there is: the application asks, the owner's function does it.
CREATE OR REPLACE FUNCTION "only_added_to"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'DELETE' AND pg_trigger_depth() > 1 THEN RETURN OLD; END IF;
  IF TG_OP = 'DELETE' AND TG_TABLE_NAME LIKE 'readings\_%' AND current_setting('pheasant.thinning', true) = 'yes' THEN RETURN OLD; END IF;
  RAISE EXCEPTION 'rows of % are only added, never changed or taken away', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
--> statement-breakpoint
-- Of each stretch of so many seconds a channel keeps its first, its last, its lowest and its highest reading.
CREATE FUNCTION "thin_readings"(of_device text, from_at timestamptz, before_at timestamptz, every_s int) RETURNS bigint
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public SET enable_nestloop = off AS $$
DECLARE gone bigint := 0; fewer bigint;
BEGIN
  IF before_at > now() - interval '30 days' OR every_s NOT BETWEEN 10 AND 600 THEN
    RAISE EXCEPTION 'readings of the last thirty days stay as they are' USING ERRCODE = 'restrict_violation';
  END IF;
  PERFORM set_config('pheasant.thinning', 'yes', true);
  -- Channel by channel: that is how the index finds a span of time.
  FOR of_channel IN 0..63 LOOP
    WITH ranked AS (
      SELECT session, seq,
        row_number() OVER (PARTITION BY stretch ORDER BY at, seq) AS first,
        row_number() OVER (PARTITION BY stretch ORDER BY at DESC, seq DESC) AS last,
        row_number() OVER (PARTITION BY stretch ORDER BY value_c, at, seq) AS low,
        row_number() OVER (PARTITION BY stretch ORDER BY value_c DESC, at, seq) AS high
      FROM (
        SELECT session, seq, at, value_c, floor(extract(epoch FROM at) / every_s) AS stretch
        FROM readings WHERE device_id = of_device AND channel = of_channel AND at >= from_at AND at < before_at
      ) old
    ), deleted AS (
      DELETE FROM readings r USING ranked k
      WHERE r.device_id = of_device AND r.channel = of_channel AND r.at >= from_at AND r.at < before_at
        AND r.session = k.session AND r.seq = k.seq AND least(k.first, k.last, k.low, k.high) > 1
      RETURNING 1
    ) SELECT count(*) INTO fewer FROM deleted;
    gone := gone + fewer;
  END LOOP;
  PERFORM set_config('pheasant.thinning', '', true);
  RETURN gone;
END $$;
--> statement-breakpoint
REVOKE ALL ON FUNCTION "thin_readings"(text, timestamptz, timestamptz, int) FROM PUBLIC;
