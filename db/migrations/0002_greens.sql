ALTER TABLE "game_version" ADD COLUMN "green_id" uuid;--> statement-breakpoint
ALTER TABLE "game_version" ADD COLUMN "green_version" integer;--> statement-breakpoint
ALTER TABLE "game_version" ADD CONSTRAINT "game_version_academy_id_green_id_green_version_green_version_academy_id_green_id_version_fk" FOREIGN KEY ("academy_id","green_id","green_version") REFERENCES "public"."green_version"("academy_id","green_id","version") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "game_version_by_green" ON "game_version" USING btree ("academy_id","green_id");--> statement-breakpoint
ALTER TABLE "green" DROP COLUMN "name";--> statement-breakpoint
UPDATE "game_version" SET "spec" = jsonb_set("spec", '{stations}', (SELECT coalesce(jsonb_agg('{"place":null}'::jsonb || "one" ORDER BY "n"), '[]'::jsonb) FROM jsonb_array_elements("spec"->'stations') WITH ORDINALITY AS "each"("one", "n")));--> statement-breakpoint
UPDATE "session" SET "spec" = jsonb_set("spec", '{stations}', (SELECT coalesce(jsonb_agg('{"place":null}'::jsonb || "one" ORDER BY "n"), '[]'::jsonb) FROM jsonb_array_elements("spec"->'stations') WITH ORDINALITY AS "each"("one", "n")));
