/** What leaves the program: pictures, paper, tables. */
package ration.publish;
