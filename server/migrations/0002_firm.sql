CREATE TABLE "firm" (
	"id" integer PRIMARY KEY NOT NULL,
	"said" jsonb NOT NULL,
	"changed_at" timestamp with time zone NOT NULL
);
