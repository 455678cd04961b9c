CREATE INDEX "changes_job_version" ON "changes" USING btree ("job","version");--> statement-breakpoint
CREATE INDEX "changes_job_sent" ON "changes" USING btree ("job","sent");