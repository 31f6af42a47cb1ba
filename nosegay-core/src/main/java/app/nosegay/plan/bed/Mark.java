package app.nosegay.plan.bed;

import app.nosegay.plan.Finding;

/** A finding where it belongs, without its place, so that a row that only moved down stays the same row. */
public record Mark(Finding.Severity severity, String message) {}
