ALTER TABLE "academy" ADD COLUMN "pace_m" double precision;--> statement-breakpoint
ALTER TABLE "academy" ADD COLUMN "club_m" double precision;--> statement-breakpoint
ALTER TABLE "academy" ADD COLUMN "putter_m" double precision;--> statement-breakpoint
ALTER TABLE "academy" ADD COLUMN "flagstick_m" double precision;--> statement-breakpoint
ALTER TABLE "session_player" ADD COLUMN "level" double precision;--> statement-breakpoint
UPDATE "session_player" AS "sp" SET "level" = "p"."level" FROM "player" AS "p" WHERE "p"."academy_id" = "sp"."academy_id" AND "p"."player_id" = "sp"."player_id";--> statement-breakpoint
ALTER TABLE "session_player" ALTER COLUMN "level" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "session_player" ADD COLUMN "unit_m" double precision;--> statement-breakpoint
ALTER TABLE "session_player" ADD COLUMN "scale" double precision DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "session_player" ADD COLUMN "allowance" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "shot" ADD COLUMN "club_label" text;--> statement-breakpoint
ALTER TABLE "shot" ADD COLUMN "executed" boolean;--> statement-breakpoint
UPDATE "game_version" SET "spec" = jsonb_build_object('about', '', 'open', false, 'order', 'blocked', 'leadIn', '[]'::jsonb, 'rules', '{"ball":"drop","puttOut":false,"timeLimitS":null,"attempts":"first","clubOnce":false,"clubsApart":false,"favouriteBanned":false,"shotOnce":false,"goodSide":null,"wrongSideCost":0,"offGreenCost":null,"endOnPerfectRound":false,"allowances":false}'::jsonb, 'sizes', jsonb_build_object('unit', "spec"->'scoring'->'ringUnit', 'of', 'fixed', 'fixedM', null, 'scaled', false)) || ("spec" #- '{scoring,ringUnit}') || jsonb_build_object('stations', (SELECT jsonb_agg('{"shape":null,"club":null,"target":"hole","carryM":null,"par":null}'::jsonb || "one" ORDER BY "n") FROM jsonb_array_elements("spec"->'stations') WITH ORDINALITY AS "each"("one", "n"))) WHERE NOT "spec" ? 'sizes';--> statement-breakpoint
UPDATE "session" SET "spec" = jsonb_build_object('about', '', 'open', false, 'order', 'blocked', 'leadIn', '[]'::jsonb, 'rules', '{"ball":"drop","puttOut":false,"timeLimitS":null,"attempts":"first","clubOnce":false,"clubsApart":false,"favouriteBanned":false,"shotOnce":false,"goodSide":null,"wrongSideCost":0,"offGreenCost":null,"endOnPerfectRound":false,"allowances":false}'::jsonb, 'sizes', jsonb_build_object('unit', "spec"->'scoring'->'ringUnit', 'of', 'fixed', 'fixedM', null, 'scaled', false)) || ("spec" #- '{scoring,ringUnit}') || jsonb_build_object('stations', (SELECT jsonb_agg('{"shape":null,"club":null,"target":"hole","carryM":null,"par":null}'::jsonb || "one" ORDER BY "n") FROM jsonb_array_elements("spec"->'stations') WITH ORDINALITY AS "each"("one", "n"))) WHERE NOT "spec" ? 'sizes';--> statement-breakpoint
UPDATE "shot_event" SET "payload" = '{"clubLabel":null,"executed":null}'::jsonb || "payload" WHERE "kind" = 'record' AND NOT "payload" ? 'clubLabel';
