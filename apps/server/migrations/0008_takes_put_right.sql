CREATE TABLE "take_revisions" (
	"take_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"take" jsonb NOT NULL,
	"replaced_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "take_revisions_take_id_version_pk" PRIMARY KEY("take_id","version")
);
--> statement-breakpoint
DROP INDEX "takes_log";--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "is_kept" boolean;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "is_simulated" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "faults" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "deleted_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "take_revisions" ADD CONSTRAINT "take_revisions_take_id_takes_id_fk" FOREIGN KEY ("take_id") REFERENCES "public"."takes"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "takes_log" ON "takes" USING btree ("production_id","rolled_at","number","is_simulated","shot_id") WHERE "takes"."deleted_at" is null;
--> statement-breakpoint
-- documents lie apart from the figures, so that counting and summing up do not read them
ALTER TABLE "takes" SET (toast_tuple_target = 256);--> statement-breakpoint
UPDATE "takes" SET
	"is_kept" = ("focus" = 'sharp'),
	"faults" = coalesce((
		SELECT array_agg(DISTINCT hit->>'hit')
		FROM jsonb_array_elements(CASE WHEN jsonb_typeof("take"->'hits') = 'array' THEN "take"->'hits' ELSE '[]'::jsonb END) AS hit
		WHERE hit->>'hit' <> 'hit'
	), '{}');
