import { $t } from './i18n'
/** A picked file that cannot be used, said in one line. */
export class FileError extends Error {}

/** Files in and out of the page; nothing leaves the studio but by a member's hand. */
export function saveText(name: string, text: string, type: string): void {
  const address = URL.createObjectURL(new Blob([text], { type }))
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(address), 1000)
}

/** The text of a picked file; refuses what is too large or not text before it is read. */
export async function readText(file: File, maxBytes: number): Promise<string> {
  if (file.size > maxBytes) {
    const limit = $t('files.kb', { maxBytes: Math.round(maxBytes / 1000) })
    throw new FileError($t('files.mustBeAtMostIs', { name: file.name, limit, size: Math.round(file.size / 1000) }))
  }
  const bytes = await file.arrayBuffer()
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    throw new FileError($t('files.mustBeUtf8Text', { name: file.name }))
  }
}
