/** Talks to the server. Nothing here throws: a reply is a value or a failure with a sentence. */
import createClient from 'openapi-fetch'
import type { InjectionKey } from 'vue'
import type { components, paths } from './schema'
import { words } from '@/words'

type Schemas = components['schemas']
export type AssignmentRules = Schemas['AssignmentRules']
export type AssignmentView = Schemas['AssignmentView']
export type BenchMade = Schemas['BenchMade']
export type ClassEntry = Schemas['ClassEntry']
export type NextView = Schemas['NextView']
export type ResultsView = Schemas['ResultsView']
export type RungView = Schemas['RungView']
export type OfferedEntry = Schemas['OfferedEntry']
export type Share = Schemas['Share']
export type SharedView = Schemas['SharedView']
export type ShareEntry = Schemas['ShareEntry']
export type ShareKind = Schemas['ShareKind']
export type Sharing = Schemas['Sharing']
export type Standing = Schemas['Standing']
export type ClassView = Schemas['ClassView']
export type HandedRung = Schemas['HandedRung']
export type HandedWork = Schemas['HandedWork']
export type RosterRow = Schemas['Row']
export type StudentEntry = Schemas['StudentEntry']
export type StudentPage = Schemas['StudentPage']
export type AboutSite = Schemas['AboutSite']
export type AuditEntry = Schemas['AuditEntry']
export type Me = Schemas['Me']
export type Message = Schemas['Message']
export type SessionEntry = Schemas['SessionEntry']
export type SignUp = Schemas['SignUp']
export type TeacherEntry = Schemas['TeacherEntry']
export type AnswerKind = Schemas['AnswerKind']
export type Asks = Schemas['Asks']
export type Beginning = Schemas['Beginning']
export type BenchRung = Schemas['BenchRung']
export type Blank = Schemas['Blank']
export type Block = Schemas['Block']
export type Change = Schemas['Change']
export type Checked = Schemas['Checked']
export type DeskEntry = Schemas['DeskEntry']
export type DeskLine = Schemas['DeskLine']
export type DeskRung = Schemas['DeskRung']
export type DeskView = Schemas['DeskView']
export type Detail = Schemas['Detail']
export type Drawing = Schemas['Drawing']
export type Example = Schemas['Example']
export type ExampleChange = Schemas['ExampleChange']
export type ExampleLine = Schemas['ExampleLine']
export type ExampleView = Schemas['ExampleView']
export type Failure = Schemas['Failure']
export type Figure = Schemas['Figure']
export type GivenAnswer = Schemas['GivenAnswer']
export type LineEnd = Schemas['LineEnd']
export type LinePart = Schemas['LinePart']
export type Grouping = Schemas['Grouping']
export type JudgedLine = Schemas['JudgedLine']
export type Judgement = Schemas['Judgement']
export type Keypad = Schemas['Keypad']
export type Kind = Schemas['Kind']
export type LadderEntry = Schemas['LadderEntry']
export type LadderOrder = Schemas['LadderOrder']
export type LadderView = Schemas['LadderView']
export type Lesson = Schemas['Lesson']
export type LadderOnShelf = Schemas['LadderOnShelf']
export type LadderPage = Schemas['LadderPage']
export type LessonView = Schemas['LessonView']
export type ClassGiven = Schemas['Given']
export type JoinView = Schemas['JoinView']
export type LiveEntry = Schemas['LiveEntry']
export type LiveMoment = Schemas['LiveMoment']
export type LiveView = Schemas['LiveView']
export type LiveWall = Schemas['LiveWall']
export type StudentDoes = Schemas['StudentDoes']
export type StudentNow = Schemas['StudentNow']
export type StudentQuestion = Schemas['StudentQuestion']
export type StudentSlide = Schemas['StudentSlide']
export type TeacherDoes = Schemas['TeacherDoes']
export type ToAsk = Schemas['ToAsk']
export type LineOffers = Schemas['LineOffers']
export type LineVerdict = Schemas['LineVerdict']
export type Look = Schemas['Look']
export type Meaning = Schemas['Meaning']
export type Mend = Schemas['Mend']
export type MethodId = Schemas['MethodId']
export type Named = Schemas['Named']
export type NewLesson = Schemas['NewLesson']
export type Offered = Schemas['Offered']
export type OwnScenario = Schemas['OwnScenario']
export type OwnThing = Schemas['OwnThing']
export type Phase = Schemas['Phase']
export type PhaseKind = Schemas['PhaseKind']
export type PictureCard = Schemas['PictureCard']
export type PictureKind = Schemas['PictureKind']
export type Plan = Schemas['Plan']
export type PracticeOrder = Schemas['PracticeOrder']
export type Prior = Schemas['Prior']
export type Reveal = Schemas['Reveal']
export type Role = Schemas['Role']
export type ScenarioEntry = Schemas['ScenarioEntry']
export type Scene = Schemas['Scene']
export type Sheet = Schemas['Sheet']
export type ShelfPage = Schemas['ShelfPage']
export type ShelfEntry = Schemas['ShelfEntry']
export type SkillCard = Schemas['SkillCard']
export type Understanding = Schemas['Understanding']
export type SlideReveal = Schemas['SlideReveal']
export type Slide = Schemas['Slide']
export type SlipOffer = Schemas['SlipOffer']
export type Spotted = Schemas['Spotted']
export type Stage = Schemas['Stage']
export type StepScenes = Schemas['StepScenes']
export type Strand = Schemas['Strand']
export type Theme = Schemas['Theme']
export type VerdictWord = Schemas['VerdictWord']
export type VersionEntry = Schemas['VersionEntry']
export type Wanted = Schemas['Wanted']
export type WorkingLine = Schemas['WorkingLine']
export type WrittenRung = Schemas['WrittenRung']

export type Reply<T> = { ok: true; value: T } | { ok: false; failure: Failure; unreached?: boolean }

/** Most times that one call is made again because many are working, and the longest wait between, in seconds. */
const MOST_AGAIN = 5
const LONGEST_WAIT = 10

/** Where the server says that it is busy, and when to come again, comes again by itself. */
async function patient(request: Request): Promise<Response> {
  for (let again = 0; ; again += 1) {
    const answer = await fetch(request.clone())
    const wait = Number(answer.headers.get('retry-after'))
    if (answer.status !== 503 || !wait || again >= MOST_AGAIN) return answer
    await new Promise((done) => setTimeout(done, Math.min(wait, LONGEST_WAIT) * 1000))
  }
}

/** One call for each operation of the API, typed by its description. */
export const api = createClient<paths>({ baseUrl: '/', fetch: patient })

const unreached = (): Reply<never> => ({
  ok: false,
  failure: { kind: 'internal', says: words.offline },
  unreached: true,
})

/** Turns an answer of `api` into a reply; a server that cannot be reached is a failure like any other. */
export async function reply<T>(
  asked: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<Reply<T>> {
  try {
    const { data, error, response } = await asked
    if (response.ok) return { ok: true, value: data as T }
    const failure = error as Partial<Failure> | undefined
    // A proxy's own page is no failure of ours, and says nothing useful.
    if (typeof failure?.says !== 'string' || !failure.kind) return unreached()
    return { ok: false, failure: failure as Failure }
  } catch {
    return unreached()
  }
}

/** A page of a list. */
export interface Page<T> {
  entries: T[]
  next?: string | null
}

/** All entries of a list that comes in pages; `soFar` is told after each. */
export async function everyPage<T>(ask: (after?: string) => Promise<Reply<Page<T>>>, soFar?: (entries: T[]) => void): Promise<Reply<T[]>> {
  let all: T[] = []
  let after: string | undefined
  do {
    const answer = await ask(after)
    if (!answer.ok) return answer
    all = [...all, ...answer.value.entries]
    soFar?.(all)
    after = answer.value.next ?? undefined
  } while (after)
  return { ok: true, value: all }
}

/** Keeps an image from a file and gives its id. It goes as it is: the server makes it safe. */
export async function keptImage(file: File): Promise<Reply<number>> {
  const answer = await reply(
    api.POST('/api/images', { body: file as unknown as number[], bodySerializer: (body) => body as unknown as BodyInit, headers: { 'Content-Type': 'application/octet-stream' } }),
  )
  return answer.ok ? { ok: true, value: answer.value.id } : answer
}

/** Where an image is shown. */
/** Where images of a shared lesson come from; a teacher's own ones where nothing is provided. */
export const imageFolder: InjectionKey<string> = Symbol('folder of images')
