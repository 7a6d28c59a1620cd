"""From the document and a viewport to frozen records in px. Draw and emit only read these records."""
