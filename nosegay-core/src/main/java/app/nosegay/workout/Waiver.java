package app.nosegay.workout;

/**
 * A finding the creator decided to leave as it is.
 *
 * @param key {@link app.nosegay.plan.Finding#key()}: the code and the place
 * @param reason why; kept with the workout
 * @param date the day, ISO 8601
 */
public record Waiver(String key, String reason, String date) {}
