ALTER TABLE "shot_revisions" ADD COLUMN "device_id" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "shot_revisions" ADD COLUMN "device_name" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "shot_revisions" ADD COLUMN "changes" text[];--> statement-breakpoint
ALTER TABLE "shot_revisions" ADD COLUMN "name" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "shots" ADD COLUMN "device_id" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "shots" ADD COLUMN "device_name" text DEFAULT '' NOT NULL;