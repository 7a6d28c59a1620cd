"""What comes in and what is handed out: pictures, site files, bundles, reports."""
