/**
 * From a pose to a picture. {@link app.leeward.core.eval.Evaluator} is the door; {@link app.leeward.core.eval.Evaluation} runs a pose
 * through the stages, one file each: dials, views, poses, correctives, lid limits, drawings, grips, transforms, stacking, outlines,
 * masks. <i>Why?</i> is the same run with a {@link app.leeward.core.eval.Trace}, put into words by
 * {@link app.leeward.core.eval.Explanation}. Uses {@code art}, {@code dial}, {@code rig}; knows no edit and no file.
 */
package app.leeward.core.eval;
