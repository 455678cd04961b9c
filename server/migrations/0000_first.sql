CREATE TABLE "changes" (
	"order" bigserial PRIMARY KEY NOT NULL,
	"job" text NOT NULL,
	"sent" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"device" text NOT NULL,
	"edit" jsonb NOT NULL,
	"inverse" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "entries" (
	"job" text NOT NULL,
	"line" text NOT NULL,
	"run" text NOT NULL,
	"id" text NOT NULL,
	"position" integer NOT NULL,
	"said" jsonb NOT NULL,
	CONSTRAINT "entries_job_line_id_pk" PRIMARY KEY("job","line","id")
);
--> statement-breakpoint
CREATE TABLE "jobs" (
	"id" text PRIMARY KEY NOT NULL,
	"said" jsonb NOT NULL,
	"version" integer NOT NULL,
	"changed_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "lines" (
	"job" text NOT NULL,
	"id" text NOT NULL,
	"position" integer NOT NULL,
	"said" jsonb NOT NULL,
	CONSTRAINT "lines_job_id_pk" PRIMARY KEY("job","id")
);
--> statement-breakpoint
CREATE TABLE "runs" (
	"job" text NOT NULL,
	"line" text NOT NULL,
	"id" text NOT NULL,
	"position" integer NOT NULL,
	"said" jsonb NOT NULL,
	CONSTRAINT "runs_job_line_id_pk" PRIMARY KEY("job","line","id")
);
--> statement-breakpoint
ALTER TABLE "changes" ADD CONSTRAINT "changes_job_jobs_id_fk" FOREIGN KEY ("job") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_job_jobs_id_fk" FOREIGN KEY ("job") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lines" ADD CONSTRAINT "lines_job_jobs_id_fk" FOREIGN KEY ("job") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_job_jobs_id_fk" FOREIGN KEY ("job") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;