/** Takes the pictures of the documentation: the real window is put into each pose and written as PNG. Not shipped. */
package bucina.pictures;
