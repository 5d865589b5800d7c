ALTER TABLE "productions" DROP CONSTRAINT "productions_units";--> statement-breakpoint
ALTER TABLE "productions" DROP COLUMN "units";