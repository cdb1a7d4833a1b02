-- What is counted of limits may be lost with a crash: it is not worth waiting for the disk on every count.
ALTER TABLE "rate_limits" SET UNLOGGED;
