CREATE TABLE "views" (
	"job" text PRIMARY KEY NOT NULL,
	"of" text NOT NULL,
	"said" jsonb
);
--> statement-breakpoint
ALTER TABLE "views" ADD CONSTRAINT "views_job_jobs_id_fk" FOREIGN KEY ("job") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;