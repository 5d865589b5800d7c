CREATE TABLE "takes" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"shot_id" uuid NOT NULL,
	"production_id" uuid NOT NULL,
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
ALTER TABLE "takes" ADD CONSTRAINT "takes_production_id_productions_id_fk" FOREIGN KEY ("production_id") REFERENCES "public"."productions"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "takes_log" ON "takes" USING btree ("production_id","rolled_at","number");