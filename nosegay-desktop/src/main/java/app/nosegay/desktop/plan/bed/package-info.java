/** The bed: the plan as rows of leaves, built by mouse or keys without the notation. */
package app.nosegay.desktop.plan.bed;
