ALTER TABLE "takes" ADD COLUMN "zone_depth_mm" double precision;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "turn_count" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "smooth_sum" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "settled_count" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "settling_sum" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "past_zone_count" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "earlier_looks" integer DEFAULT 0 NOT NULL;