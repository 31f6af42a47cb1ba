/** FFmpeg: what is in a file, what a take sounds and moves like, its pictures and sound for playing, and writing finished videos. */
package app.nosegay.media;
