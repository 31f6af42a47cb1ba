/** What was said in the takes: lines of the script that were found, and calls with the figure that was true at their moment. */
package app.nosegay.review.said;
