-- Calendars that were subscribed to go on, as addresses of their own: hashed, counted, and with an end.
INSERT INTO "addresses" ("id", "kitchen_id", "of", "name", "token_hash", "made_by", "expires_at")
SELECT 'adr_' || "id", "id", 'calendar', 'Calendar, from before', encode(sha256(convert_to("calendar_token", 'UTF8')), 'hex'), 'house', now() + interval '1 year'
FROM "kitchens" WHERE length("calendar_token") > 30;
--> statement-breakpoint
ALTER TABLE "kitchens" DROP COLUMN "calendar_token";
