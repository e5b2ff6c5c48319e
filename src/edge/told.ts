/** Told by the proxy with every request it lets through, and taken from whoever else says so. */
export const PATH_HEADER = 'x-levitar-path'
export const HOME_HEADER = 'x-levitar-home'
export const ID_HEADER = 'x-levitar-request'
