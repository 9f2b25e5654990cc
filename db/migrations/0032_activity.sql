CREATE TABLE "activity" (
	"academy_id" text NOT NULL,
	"activity_id" bigint GENERATED ALWAYS AS IDENTITY (sequence name "activity_activity_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"happened_at" timestamp with time zone DEFAULT now() NOT NULL,
	"actor" text NOT NULL,
	"what" text NOT NULL,
	"about" text,
	"more" text,
	CONSTRAINT "activity_academy_id_activity_id_pk" PRIMARY KEY("academy_id","activity_id")
);
--> statement-breakpoint
ALTER TABLE "activity" ADD CONSTRAINT "activity_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "activity_by_about" ON "activity" USING btree ("academy_id","about","activity_id");--> statement-breakpoint
-- What was done stays as it was kept: it goes when it is a year old, or with the academy (by its foreign key, which is a trigger of its own).
CREATE FUNCTION "activity_stays"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'DELETE' AND (OLD.happened_at < now() - interval '360 days' OR pg_trigger_depth() > 1) THEN
    RETURN OLD;
  END IF;
  RAISE EXCEPTION 'activity is only added to';
END
$$;--> statement-breakpoint
CREATE TRIGGER "activity_stays" BEFORE UPDATE OR DELETE ON "activity" FOR EACH ROW EXECUTE FUNCTION "activity_stays"();
