CREATE TABLE "backup" (
	"backup_id" bigint GENERATED ALWAYS AS IDENTITY (sequence name "backup_backup_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"begun_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone NOT NULL,
	"bytes" bigint,
	"failure" text,
	CONSTRAINT "backup_backup_id_pk" PRIMARY KEY("backup_id")
);
