CREATE TABLE "cameras" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"item" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	CONSTRAINT "cameras_version" CHECK ("cameras"."version" > 0)
);
--> statement-breakpoint
CREATE TABLE "lenses" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"item" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	CONSTRAINT "lenses_version" CHECK ("lenses"."version" > 0)
);
--> statement-breakpoint
CREATE TABLE "rigs" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"item" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	CONSTRAINT "rigs_version" CHECK ("rigs"."version" > 0)
);
--> statement-breakpoint
CREATE TABLE "wheels" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"item" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	CONSTRAINT "wheels_version" CHECK ("wheels"."version" > 0)
);
--> statement-breakpoint
ALTER TABLE "productions" ADD COLUMN "shutter_angle_deg" double precision DEFAULT 180 NOT NULL;--> statement-breakpoint
CREATE INDEX "cameras_by_name" ON "cameras" USING btree ("name");--> statement-breakpoint
CREATE INDEX "lenses_by_name" ON "lenses" USING btree ("name");--> statement-breakpoint
CREATE INDEX "rigs_by_name" ON "rigs" USING btree ("name");--> statement-breakpoint
CREATE INDEX "wheels_by_name" ON "wheels" USING btree ("name");