ALTER TABLE "productions" ADD COLUMN "frame_aspect" double precision;--> statement-breakpoint
ALTER TABLE "productions" ADD COLUMN "look_blur_percent" double precision;--> statement-breakpoint
ALTER TABLE "productions" ADD COLUMN "enlarged_percent" double precision DEFAULT 0 NOT NULL;