CREATE TABLE "digests" (
	"job" text PRIMARY KEY NOT NULL,
	"of" text NOT NULL,
	"said" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shares" (
	"id" text PRIMARY KEY NOT NULL,
	"job" text NOT NULL,
	"secret_hash" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"closed_at" timestamp with time zone,
	"said" jsonb NOT NULL,
	CONSTRAINT "shares_secret_hash_unique" UNIQUE("secret_hash")
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "accepted" jsonb;--> statement-breakpoint
ALTER TABLE "digests" ADD CONSTRAINT "digests_job_jobs_id_fk" FOREIGN KEY ("job") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shares" ADD CONSTRAINT "shares_job_jobs_id_fk" FOREIGN KEY ("job") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;