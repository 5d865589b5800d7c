CREATE TABLE "pictures" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"type" text NOT NULL,
	"width_px" integer NOT NULL,
	"height_px" integer NOT NULL,
	"digest" text NOT NULL,
	"contents" "bytea" NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "pictures_digest_unique" UNIQUE("digest"),
	CONSTRAINT "pictures_size" CHECK ("pictures"."width_px" > 0 and "pictures"."height_px" > 0)
);
