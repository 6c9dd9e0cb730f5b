/** Old parts, one of them of the same name as a newer one. */
package gullwing.wreck.attic;
