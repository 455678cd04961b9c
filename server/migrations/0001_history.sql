ALTER TABLE "changes" ADD COLUMN "version" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "changes" ADD COLUMN "undoes" text;