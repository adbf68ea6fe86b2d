/**
 * JSON in the page, without reflection: {@link app.leeward.page.json.Codec} is generated from core's records and is told apart
 * from the server's by a test alone. Says nothing of where JSON comes from: {@link app.leeward.page.json.JsonValue} and
 * {@link app.leeward.page.json.JsonSink} are the two doors.
 */
package app.leeward.page.json;
