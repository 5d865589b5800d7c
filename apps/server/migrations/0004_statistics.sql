ALTER TABLE "takes" ADD COLUMN "lens" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "stop" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "method" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "puller" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "predicted_rate" double precision;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "is_usable" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "is_repaired" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "late_count" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "late_sum" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "late_squares" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "off_count" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "off_sum" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "off_squares" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "missed_count" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "missed_sum" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "missed_squares" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE "takes" SET
	"lens" = coalesce("take"->'settings'->>'lens', ''),
	"stop" = coalesce(("take"->'settings'->>'stop')::double precision, 0),
	"method" = coalesce("take"->'settings'->>'method', ''),
	"is_usable" = "is_circled" or ("focus" = 'sharp' and coalesce("take"->>'performance', '') <> 'poor');
