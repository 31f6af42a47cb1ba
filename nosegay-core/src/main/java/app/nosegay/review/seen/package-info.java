/** What the people in the picture do, compared with the plan. */
package app.nosegay.review.seen;
