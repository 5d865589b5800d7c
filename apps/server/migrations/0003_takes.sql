CREATE TABLE "takes" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"shot_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"rolled_at" timestamp with time zone NOT NULL,
	"is_circled" boolean NOT NULL,
	"focus" text,
	"take" jsonb NOT NULL,
	"track" text,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "takes_number" UNIQUE("shot_id","number"),
	CONSTRAINT "takes_version" CHECK ("takes"."version" > 0)
);
--> statement-breakpoint
ALTER TABLE "takes" ADD CONSTRAINT "takes_shot_id_shots_id_fk" FOREIGN KEY ("shot_id") REFERENCES "public"."shots"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "takes_by_time" ON "takes" USING btree ("rolled_at");