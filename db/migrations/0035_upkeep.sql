CREATE TABLE "device" (
	"academy_id" text NOT NULL,
	"device_id" uuid NOT NULL,
	"actor" text NOT NULL,
	"first_at" timestamp with time zone DEFAULT now() NOT NULL,
	"last_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "device_academy_id_device_id_pk" PRIMARY KEY("academy_id","device_id")
);
--> statement-breakpoint
CREATE TABLE "refused_event" (
	"academy_id" text NOT NULL,
	"event_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"actor" text NOT NULL,
	"why" text NOT NULL,
	"refused_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "refused_event_academy_id_event_id_pk" PRIMARY KEY("academy_id","event_id")
);
--> statement-breakpoint
ALTER TABLE "academy" ADD COLUMN "keep_years" integer;--> statement-breakpoint
ALTER TABLE "device" ADD CONSTRAINT "device_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "refused_event" ADD CONSTRAINT "refused_event_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "device_by_last" ON "device" USING btree ("academy_id","last_at");--> statement-breakpoint
CREATE INDEX "refused_event_by_time" ON "refused_event" USING btree ("academy_id","refused_at");