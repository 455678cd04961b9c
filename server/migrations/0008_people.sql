CREATE TABLE "people" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"role" text NOT NULL,
	"passphrase_hash" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"failures" integer DEFAULT 0 NOT NULL,
	"locked_until" timestamp with time zone,
	"removed_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"person" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "changes" ADD COLUMN "person" text;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_person_people_id_fk" FOREIGN KEY ("person") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "people_name" ON "people" USING btree (lower("name")) WHERE "people"."removed_at" is null;--> statement-breakpoint
ALTER TABLE "changes" ADD CONSTRAINT "changes_person_people_id_fk" FOREIGN KEY ("person") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;