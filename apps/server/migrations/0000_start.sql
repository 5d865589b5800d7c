CREATE TABLE "productions" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"units" text DEFAULT 'metric' NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "productions_units" CHECK ("productions"."units" in ('metric', 'imperial')),
	CONSTRAINT "productions_name" CHECK (length("productions"."name") > 0)
);
--> statement-breakpoint
CREATE TABLE "shot_revisions" (
	"shot_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"scene" text NOT NULL,
	"slate" text NOT NULL,
	"title" text NOT NULL,
	"plan" jsonb NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "shot_revisions_shot_id_version_pk" PRIMARY KEY("shot_id","version")
);
--> statement-breakpoint
CREATE TABLE "shots" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"production_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"scene" text NOT NULL,
	"slate" text NOT NULL,
	"title" text NOT NULL,
	"plan" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	CONSTRAINT "shots_version" CHECK ("shots"."version" > 0)
);
--> statement-breakpoint
ALTER TABLE "shot_revisions" ADD CONSTRAINT "shot_revisions_shot_id_shots_id_fk" FOREIGN KEY ("shot_id") REFERENCES "public"."shots"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shots" ADD CONSTRAINT "shots_production_id_productions_id_fk" FOREIGN KEY ("production_id") REFERENCES "public"."productions"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "shots_by_order" ON "shots" USING btree ("production_id","position");