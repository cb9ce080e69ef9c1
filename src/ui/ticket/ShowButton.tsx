import VisibilityOffOutlined from '@mui/icons-material/VisibilityOffOutlined';
import VisibilityOutlined from '@mui/icons-material/VisibilityOutlined';
import { RowButton } from './RowButton';

/** Hides what a row stands for, or shows it again. */
export const ShowButton = (props: { name: string; isShown: boolean; onClick: () => void }) => (
  <RowButton
    label={`${props.isShown ? 'Hide' : 'Show'} ${props.name}`}
    icon={props.isShown ? <VisibilityOutlined /> : <VisibilityOffOutlined />}
    onClick={props.onClick}
  />
);
