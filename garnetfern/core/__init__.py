"""The rules of the job. Pure and typed: no interface code, no files, no clock, no network."""
